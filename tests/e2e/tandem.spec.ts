import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { expect, newJob, openTab, test, typeInto } from './shop';

const POTS = '/jobs/5a1e0007-0000-4000-8000-000000000f00';
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

test('two axles on a rocker go from Ask to a proven height as one', async ({ page, request }) => {
  await page.goto('/jobs/new');
  await typeInto(page, 'Complaint, in the owner’s words', 'rear of the float is low');
  await typeInto(page, 'Wanted height change', '40');
  await typeInto(page, 'Good enough within ±', '8');
  await typeInto(page, 'Name or plate', 'Peat float');
  const pick = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label }).click();
    await page.getByTitle(option, { exact: true }).click();
  };
  await pick('It is a', 'trailer on a tongue');
  await typeInto(page, 'Coupling to axle', '3900');
  await pick('This axle has', 'two axles on a rocker (equalizer)');
  await pick('Kind of axle', 'trailer axle, 1 t');
  await page.getByRole('group', { name: 'Spring lies, needed' }).getByRole('button', { name: 'over the axle' }).click();
  await page.getByRole('button', { name: 'Open the job and measure' }).click();
  await page.waitForURL(/measure/);
  await openTab(page, 'list');
  const path = new URL(page.url()).pathname.replace('/measure', '');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('rear axles');
  for (const [field, text] of [
    ['Hubs to frame, midway, left', '200'],
    ['Hubs to frame, midway, right', '202'],
    ['Load on both axles', '1500'],
    ['Leaves in one spring', '5'],
    ['Leaf width', '50'],
    ['Leaf thickness', '6.5'],
    ['Hanger eye to centre bolt', '340'],
    ['Inner end to centre bolt', '338'],
    ['Arch, front axle, left', '40'],
    ['Arch, rear axle, left', '42'],
    ['Arm to the front spring', '110'],
    ['Arm to the rear spring', '120'],
    ['Axle to axle', '906'],
  ] as const)
    await typeInto(page, field, text);
  await page.getByRole('button', { name: 'yes, rolled' }).click();
  await openTab(page, 'as it stands');
  // Which axle carries what follows from the arms: 120 of 230 on the front one.
  await expect(page.getByTestId('pair-verdict')).toContainText('52:48');
  await expect(page.getByTestId('pair-figures')).toContainText('Tilt of the rocker');
  const view = await get(request, path);
  expect(view.axle).toMatchObject({ suspension: 'tandemEqualizer', arrangement: 'over' });

  await page.goto(`${path}/choose#plan`);
  await page.getByRole('button', { name: '+ Risers at the hangers' }).click();
  await typeInto(page, 'All hangers lower by', '40');
  const ledger = page.getByTestId('ledger');
  await expect(ledger).toContainText('risers at the hangers');
  await expect(ledger.locator('tr[data-kind=total]')).toContainText('240');
  await page.getByRole('button', { name: 'Store this prediction' }).click();
  await expect(page.getByRole('region', { name: 'Stored predictions' })).toContainText('risers');
  const stored = await get(request, path);
  expect(stored.predictions[0]!.facts.own).toMatchObject({
    kind: 'tandemEqualizer',
    of: expect.arrayContaining([expect.anything()]),
  });
  const answers = [
    ...['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'],
    ...['hoseSlack', 'wireSlack', 'rating', 'heightSensing'],
  ];
  for (const item of answers)
    expect(
      (await request.post(`/api${path}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } })).ok(),
    ).toBe(true);
  const begun = await request.post(`/api${path}/build`, { data: { overrideReason: 'first look at the float' } });
  expect([begun.status(), await begun.text()]).toEqual([200, expect.anything()]);
  await page.goto(`${path}/build#torque`);
  const torque = page.getByRole('region', { name: 'Torque' });
  await expect(torque.getByRole('group', { name: 'Rocker pivot', exact: true })).toBeVisible();
  const day = { id: crypto.randomUUID(), phase: 'after', fuel: null, fuelAsBefore: true, stance: 'ground' };
  await request.post(`/api${path}/days`, { data: { ...day, tyrePressure: null, tyrePressureTyped: null } });
  const after = {
    ...{ id: crypto.randomUUID(), point: 'hubToLip', phase: 'after', side: 'left', leafId: null },
    ...{ stateId: stored.states[0]!.id, typed: '241', value: 241, unit: 'mm', rolled: true, instrument: 'tape' },
    ...{ dayId: day.id, supersedes: null },
  };
  const proven = await request.post(`/api${path}/outcomes`, { data: after });
  expect(((await proven.json()) as JobView).outcomes).toMatchObject([{ measured: 241, inside: true }]);
});

test('the demo’s pot trailer: contradictions, tyres, the road, slippers instead of the rocker', async ({ page }) => {
  await page.goto(`${POTS}/measure#list`);
  await expect(page.locator('#watch')).toContainText('nothing contradicts');
  await typeInto(page, 'Axle to axle', '1040');
  await expect(page.getByTestId('flags')).toContainText('miss the spacing');
  await typeInto(page, 'Axle to axle', '906');
  await expect(page.getByTestId('flags')).toHaveCount(0);

  await page.goto(`${POTS}/inspect#list`);
  await expect(page.getByRole('region', { name: 'Hangers, shackles, pivots' })).toContainText('Rocker and its pivot');

  await page.goto(`${POTS}/choose#road`);
  const verdict = page.getByTestId('pair-verdict');
  await expect(verdict).toContainText('50:50');
  // A raised coupling moves nothing between axles that share, a bump swings the rocker.
  await page.getByLabel('Coupling higher by').fill('100');
  await expect(verdict).toContainText('50:50');
  await page.getByLabel(/^Bump/).fill('100');
  await expect(verdict).toContainText(/at its stop|over its tyre/);
  await page.getByRole('button', { name: 'Back to level ground' }).click();
  await expect(verdict).toContainText('rocker tilts');
  await openTab(page, 'ways');
  const ways = page.getByRole('table', { name: 'Ways with other springs, shackles, rockers and slippers' });
  // On slippers the frame's pitch alone puts a tyre over its load: told, and never offered.
  await page.getByRole('button', { name: /^All \d+$/ }).click();
  const boxes = ways.getByRole('row').filter({ hasText: 'Slipper box' });
  await expect(boxes.first()).toContainText('over its tyre');
  await expect(boxes.getByRole('button', { name: 'Plan this' })).toHaveCount(0);
  await openTab(page, 'plan');
  await page.getByRole('button', { name: '+ Slippers' }).click();
  await typeInto(page, 'Frame to the slipper’s face', '120');
  await expect(verdict).toContainText('over its tyre');
  await openTab(page, 'under load');
  await expect(page.getByTestId('pair-figures')).toContainText('no rocker');
  await openTab(page, 'must fit');
  await expect(page.locator('tr[data-check=pairTyres]')).toContainText('STOP');
  const checks = page.getByRole('region', { name: 'Will it go together' });
  await expect(checks).toContainText('a damper at each wheel');
  // Alone for itself, each axle feels the coupling: raised, it takes that load off the front one again.
  await openTab(page, 'on the road');
  await page.getByLabel('Coupling higher by').fill('60');
  await expect(verdict).not.toContainText('over its tyre');
  await expect(verdict).toContainText('each axle for itself');
});

test('two axles on slippers: each for itself, weighed apart, no rocker anywhere', async ({ page, request }) => {
  const job = newJob();
  const vehicle = {
    ...job.vehicle,
    form: 'trailer' as const,
    suspension: 'tandemSlipper' as const,
    position: 'rear' as const,
  };
  const made = await request.post('/api/jobs', { data: { ...job, vehicle, usual: null, wantedIn: 'today' } });
  expect([made.status(), await made.text()]).toEqual([200, expect.anything()]);
  await page.goto(`/jobs/${job.id}/measure#list`);
  await expect(page.getByRole('region', { name: 'Rocker', exact: true })).toHaveCount(0);
  for (const [field, text] of [
    ['Hubs to frame, midway, left', '200'],
    ['Load on both axles', '1500'],
    ['Leaves in one spring', '5'],
    ['Leaf width', '50'],
    ['Leaf thickness', '6.5'],
    ['Hanger eye to centre bolt', '340'],
    ['Inner end to centre bolt', '338'],
    ['Arch, front axle, left', '40'],
  ] as const)
    await typeInto(page, field, text);
  await openTab(page, 'as it stands');
  await expect(page.getByTestId('pair-verdict')).toContainText('50:50');
  await expect(page.getByTestId('pair-verdict')).toContainText('each axle for itself');
  await openTab(page, 'list');
  const frame = page.getByRole('region', { name: 'Frame and axles', exact: true });
  await frame.locator('summary').click();
  await typeInto(page, 'Front axle alone', '850');
  await typeInto(page, 'Rear axle alone', '650');
  await expect(page.getByTestId('pair-verdict')).toContainText('57:43');
  await page.goto(`/jobs/${job.id}/choose#plan`);
  await page.getByRole('button', { name: '+ Slippers' }).click();
  await typeInto(page, 'Frame to the slipper’s face', '150');
  const ledger = page.getByTestId('ledger');
  await expect(ledger.locator('tr').filter({ hasText: 'slippers' })).toContainText('+20');
  await openTab(page, 'must fit');
  await expect(page.getByRole('region', { name: 'Will it go together' })).toContainText('inner ends stand 90 mm below');
});
