import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { expect, newJob, openTab, test, typeInto } from './shop';

const TENDER = '/jobs/5a1e0006-0000-4000-8000-000000000f00';
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

test('a job on coils goes from Ask to a proven height on its own sheet', async ({ page, request }) => {
  await page.goto('/jobs/new');
  await typeInto(page, 'Complaint, in the owner’s words', 'sags in front');
  await typeInto(page, 'Wanted height change', '20');
  await typeInto(page, 'Good enough within ±', '6');
  await typeInto(page, 'Name or plate', 'Mole tug');
  await typeInto(page, 'Wheelbase', '2800');
  const pick = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label }).click();
    await page.getByTitle(option, { exact: true }).click();
  };
  await pick('This axle has', 'coils on a beam axle');
  await expect(page.getByRole('group', { name: 'Spring lies, needed' })).toHaveCount(0);
  await pick('Kind of axle', 'pickup, rear');
  await page.getByRole('button', { name: 'Open the job and measure' }).click();
  await page.waitForURL(/measure/);
  await openTab(page, 'list');
  const path = new URL(page.url()).pathname.replace('/measure', '');
  for (const [field, text] of [
    ['Hub to arch lip, left', '440'],
    ['Hub to arch lip, right', '442'],
    ['Axle load, estimated', '1300'],
    ['Coil, seat to seat, left', '285'],
    ['Coil, seat to seat, right', '286'],
    ['Wire', '16'],
    ['Outside diameter', '145'],
    ['Turns, end to end', '8 1/2'],
  ] as const)
    await typeInto(page, field, text);
  await page.getByRole('button', { name: 'yes, rolled' }).click();
  await page
    .getByRole('group', { name: 'The ends of the coil are' })
    .getByRole('button', { name: 'closed and ground flat' })
    .click();
  await openTab(page, 'as it stands');
  await expect(page.getByTestId('coil-figures')).toContainText('Hub may rise until it is solid');
  await expect.poll(async () => (await get(request, path)).seen.coilEnds).toBe('closedGround');
  const view = await get(request, path);
  expect(view.axle).toMatchObject({ suspension: 'coilBeam', arrangement: null });
  expect(view.readings.find((r) => r.point === 'coilTurns')!.value).toBe(8.5);

  await page.goto(`${path}/choose#ways`);
  const ways = page.getByRole('table', { name: 'Ways with other coils and spacers' });
  const spacer = ways.getByRole('row').filter({ hasText: /^Coil spacer 20/ });
  await spacer.getByRole('button', { name: 'Plan this' }).click();
  const ledger = page.getByTestId('ledger');
  await expect(ledger).toContainText('seat spacers');
  await expect(ledger.locator('tr[data-kind=total]')).toContainText('460');
  await openTab(page, 'plan');
  await page.getByRole('button', { name: 'Store this prediction' }).click();
  await expect(page.getByRole('region', { name: 'Stored predictions' })).toContainText('Coil spacer 20');
  const stored = await get(request, path);
  expect(stored.predictions[0]!.facts.own).toMatchObject({
    kind: 'coilBeam',
    of: expect.arrayContaining([expect.anything()]),
  });
  // A part of another kind of suspension has no place in this plan.
  const astray = await request.put(`/api${path}/plan`, {
    data: { version: stored.plan.version, changes: [{ kind: 'block', height: 40, heightTyped: '40' }] },
  });
  expect(await astray.json()).toMatchObject({ code: 'bad-input', field: 'changes' });
  const answers = [
    'frameHeld',
    'axleHeld',
    'wheelsChocked',
    'springSlack',
    'hoseSlack',
    'wireSlack',
    'rating',
    'heightSensing',
  ];
  for (const item of answers)
    expect(
      (await request.post(`/api${path}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } })).ok(),
    ).toBe(true);
  expect((await request.post(`/api${path}/build`, { data: { overrideReason: null } })).ok()).toBe(true);
  await page.goto(`${path}/build#torque`);
  const torque = page.getByRole('region', { name: 'Torque' });
  await expect(torque.getByRole('group', { name: 'Track rod', exact: true })).toBeVisible();
  await expect(torque.getByRole('group', { name: 'U-bolts' })).toHaveCount(0);
  const after = {
    ...{ id: crypto.randomUUID(), point: 'hubToLip', phase: 'after', side: 'left', leafId: null },
    ...{ stateId: stored.states[0]!.id, typed: '461', value: 461, unit: 'mm', rolled: true, instrument: 'tape' },
    ...{ dayId: null, supersedes: null },
  };
  const day = { id: crypto.randomUUID(), phase: 'after', fuel: null, fuelAsBefore: true, stance: 'ground' };
  await request.post(`/api${path}/days`, { data: { ...day, tyrePressure: null, tyrePressureTyped: null } });
  const proven = await request.post(`/api${path}/outcomes`, { data: { ...after, dayId: day.id } });
  expect(((await proven.json()) as JobView).outcomes).toMatchObject([{ measured: 461, inside: true }]);
});

test('the demo’s fire tender: contradictions, inspection of its own, ways from the shelf and what must fit', async ({
  page,
  request,
}) => {
  await page.goto(`${TENDER}/measure#list`);
  await expect(page.locator('#watch')).toContainText('nothing contradicts');
  await typeInto(page, 'Turns, end to end', '18');
  await expect(page.getByTestId('flags')).toContainText('when they touch');
  await typeInto(page, 'Turns, end to end', '8.5');
  await expect(page.getByTestId('flags')).toHaveCount(0);
  await page.goto(`${TENDER}/inspect#list`);
  await expect(page.getByRole('region', { name: 'Coils', exact: true })).toContainText('Coil cracked or broken');
  await expect(page.getByRole('region', { name: 'Leaves', exact: true })).toHaveCount(0);
  await page.goto(`${TENDER}/choose`);
  await expect(page.getByTestId('ledger')).toContainText('other coils');
  await openTab(page, 'must fit');
  const checks = page.getByRole('region', { name: 'Will it go together' });
  await expect(checks).toContainText('Coil is not solid before the stop');
  await expect(checks).not.toContainText('U-bolt');
  await openTab(page, 'ways');
  const ways = page.getByRole('table', { name: 'Ways with other coils and spacers' });
  // The one of another diameter does not sit in these seats.
  await expect(ways).not.toContainText('x 168');
  await ways.getByRole('row').nth(1).getByRole('button', { name: 'Plan this' }).click();
  await openTab(page, 'plan');
  await expect(page.getByRole('list', { name: 'Plans of this job' }).getByRole('listitem')).toHaveCount(2);
  const job = newJob();
  const leafless = { ...job, vehicle: { ...job.vehicle, arrangement: null } };
  expect((await request.post('/api/jobs', { data: leafless })).status()).toBe(422);
});
