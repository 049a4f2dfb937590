import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { expect, openTab, test, typeInto } from './shop';

const BUGGY = '/jobs/5a1e0010-0000-4000-8000-000000000f00';
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

test('a cart on one spring across goes from Ask to Follow: spindles, their steps, a height that proves it', async ({
  page,
  request,
}) => {
  await page.goto('/jobs/new');
  await typeInto(page, 'Complaint, in the owner’s words', 'scrapes its nose on the ramp');
  await typeInto(page, 'Wanted height change', '50');
  await typeInto(page, 'Good enough within ±', '8');
  await typeInto(page, 'Name or plate', 'Kelp cart');
  const pick = async (label: string, option: string) => {
    await page.getByRole('combobox', { name: label }).click();
    await page.getByTitle(option, { exact: true }).click();
  };
  await pick('It is a', 'cart');
  await typeInto(page, 'Wheelbase', '1650');
  await page.getByRole('group', { name: 'Which axle' }).getByRole('button', { name: 'front' }).click();
  await pick('This axle has', 'one leaf spring across');
  await pick('Kind of axle', 'cart, front');
  await page.getByRole('button', { name: 'Open the job and measure' }).click();
  await page.waitForURL(/measure/);
  await openTab(page, 'list');
  const path = new URL(page.url()).pathname.replace('/measure', '');
  for (const [field, text] of [
    ['Hub to arch lip, left', '230'],
    ['Hub to arch lip, right', '232'],
    ['Axle load, estimated', '210'],
    ['Leaves across', '3'],
    ['Leaf width', '45'],
    ['Leaf thickness', '6.5'],
    ['Centre bolt to eye, left', '380'],
    ['Clamp down to the eye, left', '50'],
    ['Clamp down to the eye, right', '52'],
  ] as const)
    await typeInto(page, field, text);
  await page.getByRole('button', { name: 'yes, rolled' }).click();
  await openTab(page, 'as it stands');
  await expect(page.getByTestId('cross-figures')).toContainText('Rate at the wheel');
  await expect(page.getByTestId('cross-figures')).toContainText('upper arms were not read');
  expect((await get(request, path)).axle).toMatchObject({ suspension: 'transverseLeaf', arrangement: null });

  await page.goto(`${path}/inspect#list`);
  await expect(page.getByRole('region', { name: 'Kingpins and tie rods' })).toContainText('Tie rods');

  await page.goto(`${path}/choose#plan`);
  await page.getByRole('button', { name: '+ Lifted spindles' }).click();
  await typeInto(page, 'Left wheel lower by', '50');
  await typeInto(page, 'Right wheel lower by', '50');
  const ledger = page.getByTestId('ledger');
  await expect(ledger).toContainText('spindles');
  await expect(ledger.locator('tr[data-kind=total]')).toContainText('280');
  await openTab(page, 'must fit');
  // Nobody read what stands the wheels up, and a plan is never all right with a row that nobody checked.
  await expect(page.locator('tr[data-check=crossCamber]')).toContainText('not checked');
  await expect(page.locator('tr[data-check=crossAlike]')).toContainText('fits');
  await openTab(page, 'plan');
  await page.getByRole('button', { name: 'Store this prediction' }).click();
  await expect(page.getByRole('region', { name: 'Stored predictions' })).toContainText('spindles');
  const stored = await get(request, path);
  expect(stored.predictions[0]!.facts.own).toMatchObject({
    kind: 'transverseLeaf',
    of: expect.arrayContaining([expect.objectContaining({ gained: null })]),
  });
  const answers = [
    ...['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'],
    ...['hoseSlack', 'wireSlack', 'rating', 'heightSensing'],
  ];
  for (const item of answers)
    expect(
      (await request.post(`/api${path}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } })).ok(),
    ).toBe(true);
  const begun = await request.post(`/api${path}/build`, { data: { overrideReason: 'first look at the cart' } });
  expect([begun.status(), await begun.text()]).toEqual([200, expect.anything()]);
  await page.goto(`${path}/build#steps`);
  const steps = page.locator('#steps, [role=tabpanel]').filter({ hasText: 'thrust washer' });
  await expect(steps.first()).toContainText('tie rod');
  await openTab(page, 'torque');
  const torque = page.getByRole('region', { name: 'Torque' });
  await expect(torque.getByRole('group', { name: 'Kingpin', exact: true })).toBeVisible();
  const day = { id: crypto.randomUUID(), phase: 'after', fuel: null, fuelAsBefore: true, stance: 'ground' };
  await request.post(`/api${path}/days`, { data: { ...day, tyrePressure: null, tyrePressureTyped: null } });
  for (const [side, value] of [
    ['left', 281],
    ['right', 283],
  ] as const) {
    const proven = await request.post(`/api${path}/outcomes`, {
      data: {
        ...{ id: crypto.randomUUID(), point: 'hubToLip', phase: 'after', side, leafId: null },
        ...{ stateId: stored.states[0]!.id, typed: String(value), value, unit: 'mm', rolled: true, instrument: 'tape' },
        ...{ dayId: day.id, supersedes: null },
      },
    });
    expect(proven.ok()).toBe(true);
  }
  expect((await get(request, path)).outcomes).toMatchObject([{ inside: true }, { inside: true }]);
  await page.goto(`${path}/prove`);
  await expect(page.getByRole('main')).toContainText(/281|280/);
  await page.goto(`${path}/follow`);
  await expect(page.getByRole('main')).toContainText(/height/i);
});

test('the demo’s buggy: a broken leaf is drawn and carries nothing, a new spring and its camber, beams only where one is', async ({
  page,
}) => {
  await page.goto(`${BUGGY}/measure#list`);
  await expect(page.locator('#watch')).toContainText('nothing contradicts');
  await typeInto(page, 'Clamp down to the eye, left', '65');
  await expect(page.getByTestId('flags')).toContainText('left and right differ');
  await typeInto(page, 'Clamp down to the eye, left', '41');
  await expect(page.getByTestId('flags')).toHaveCount(0);
  const spring = page.getByRole('region', { name: 'Spring across', exact: true });
  await spring.locator('summary').click();
  await typeInto(page, 'Broken leaf', '1');
  await openTab(page, 'as it stands');
  await expect(page.getByText('the main leaf is broken: it holds no wheel')).toBeVisible();
  await openTab(page, 'list');
  await spring.locator('summary').click();
  await typeInto(page, 'Broken leaf', '3');

  await page.goto(`${BUGGY}/choose#plan`);
  const drawing = page.getByRole('img', { name: /Spring across from behind/ });
  await expect(drawing).toBeVisible({ timeout: 30_000 });
  await expect(drawing.locator('[data-look=new]')).toHaveCount(1);
  await expect(page.getByRole('button', { name: '+ Drop axle' })).toBeDisabled();
  await openTab(page, 'under load');
  await expect(page.getByTestId('cross-figures')).toContainText('°');
  await openTab(page, 'ways');
  const ways = page.getByRole('table', { name: 'Ways with other springs across, spindles and drop axles' });
  await expect(ways.getByRole('row').filter({ hasText: 'Lifted spindles 38' }).first()).toBeVisible();
  await expect(ways.getByRole('row').filter({ hasText: 'Drop axle' })).toHaveCount(0);
});
