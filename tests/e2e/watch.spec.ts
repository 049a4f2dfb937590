import { type JobView } from '@/contracts/job';
import { boltsOf } from '@/core/fastener/joints';
import { DEMO, expect, test, typeInto } from './shop';

test('a slip is told as soon as it is saved, with the fields to read again, and goes when it is mended', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const watch = page.locator('#watch');
  await expect(watch).toContainText('nothing contradicts');
  // An arch read at the wrong leaf: 2 3/16 in left, 3 5/16 in right.
  await typeInto(page, 'Loaded arch, right', '3 5/16 in');
  await expect(watch.locator('[data-flag=sides]')).toContainText('left and right differ by 29 mm');
  await page.getByRole('tab', { name: 'at odds 1' }).click();
  await watch.getByRole('button', { name: 'loaded arch, right' }).first().click();
  // It goes to the figure, where the reading is typed again.
  await expect(page.getByLabel('Loaded arch, right', { exact: true })).toBeFocused();
  await typeInto(page, 'Loaded arch, right', '2 5/16 in');
  await expect(watch).toContainText('nothing contradicts');
});

test('what nobody read is ranked by what it does to the planned height, and leads to its field', async ({ page }) => {
  await page.goto(`${DEMO.planned}/measure#assumed`);
  const rows = page.getByTestId('assumed').locator('tbody tr');
  await expect(rows.first()).toBeVisible();
  const effects = (await rows.locator('td:nth-child(2)').allInnerTexts()).map(Number);
  expect(effects).toEqual(effects.toSorted((p, q) => q - p));
  await page.getByTestId('assumed').getByRole('button', { name: 'shackle angle' }).click();
  await expect(page.getByLabel('Shackle angle', { exact: true })).toBeFocused();
  await typeInto(page, 'Shackle angle', '101');
  await expect(page.getByTestId('assumed').getByRole('button', { name: 'shackle angle' })).toHaveCount(0);
});

test('a line shorter than the droop stops the lifting, here and on the build card', async ({ page }) => {
  await page.goto(`${DEMO.planned}/measure#slack`);
  const hose = page.locator('[data-survey=brakeHose]');
  await expect(
    page.getByText(/needs \d+ mm from where it stands today: lift \+\d+ mm, then \d+ mm until it hangs/),
  ).toBeVisible();
  await hose.getByRole('button', { name: 'measure its slack' }).click();
  await typeInto(page, 'brake hose: axle may drop until it is taut', '1 in');
  await expect(hose).toContainText('STOP: too short for this droop');
  await page.locator('[data-survey=axleVent]').getByRole('button', { name: 'none' }).click();
  await page.reload();
  await expect(hose).toContainText('STOP');
  await page.goto(`${DEMO.planned}/build`);
  await expect(page.locator('[data-misfit=brakeHose]')).toContainText('STOP brake hose');
  await expect(page.locator('[data-misfit=brakeHose]')).toContainText(/\d+ mm too short at full droop/);
});

test('the axle load is reckoned from the whole vehicle, and a weigh ticket is said to be one', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const group = page.getByRole('region', { name: 'Loads' });
  await group.getByText('no scales: reckon it').click();
  // 2100 kg with its middle 1250 mm behind the front axle of 2710 mm: 969 kg on the rear.
  await typeInto(page, 'Whole vehicle weighs', '2100');
  await typeInto(page, 'Its middle behind the front axle', '1250');
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await group.getByRole('button', { name: 'Take 969 kg for this axle' }).click();
  await saved;
  const ticket = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await group.getByRole('button', { name: 'a weigh ticket' }).click();
  await ticket;
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const load = view.readings.find((r) => r.point === 'axleLoad' && r.stateId === view.states[0]!.id)!;
  expect(load).toMatchObject({ typed: '969 kg', value: 969, instrument: 'ticket' });
});

test('torque: range by its middle, the same number in two units told, final only on a figure, then checks fall due', async ({
  page,
  request,
}) => {
  const read = { joint: 'uBolts', typed: '100 lbf·ft', value: 135_581.8, unit: 'lbf·ft', state: 'weightOn' };
  for (const bolt of boltsOf('uBolts')) {
    const data = { id: crypto.randomUUID(), ...read, bolt, instrument: 'click' };
    expect((await request.post(`/api${DEMO.begun}/torque-readings`, { data })).ok()).toBe(true);
  }
  await page.goto(`${DEMO.begun}/build#torque`);
  const bolts = page.getByRole('group', { name: 'U-bolts', exact: true });
  await bolts.getByRole('button', { name: 'final' }).click();
  await expect(bolts).toContainText('No torque is written down for this joint.');
  await typeInto(page, 'U-bolts, torque', '90 to 110 lbf·ft');
  await expect(bolts).toContainText('100.0 lbf·ft = 135.6 N·m');
  await bolts.getByRole('combobox', { name: 'U-bolts, source' }).click();
  await page.getByTitle('generic table').click();
  await expect(bolts).toContainText('an estimate for the thread, not the maker’s figure');
  const done = page.waitForResponse((r) => r.url().endsWith('/torques') && r.ok());
  await bolts.getByRole('button', { name: 'final' }).click();
  await done;
  await typeInto(page, 'Shock, lower, torque', '100 N·m');
  await expect(page.getByText('have the same number in lbf·ft and in N·m')).toBeVisible();
  const view = (await (await request.get(`/api${DEMO.begun}`)).json()) as JobView;
  expect(view.due.map((d) => d.afterKm)).toEqual([800, 1600]);
  expect(view.torques.find((t) => t.joint === 'wheelNuts')).toBeUndefined();
  await page.goto('/');
  await expect(page.getByRole('row', { name: /luggage cart/ })).toContainText('U-bolts: torque again');
});

test('heights at another fill of the tank are converted with the conversion shown; of an unknown fill they are refused', async ({
  page,
}) => {
  await page.goto(`${DEMO.provenInside}/prove`);
  await page.getByRole('button', { name: 'as it stands today' }).click();
  await page.getByRole('checkbox').check();
  const full = page.waitForResponse((r) => r.url().endsWith('/days') && r.ok());
  await page.getByText('tank, tyre pressure').click();
  // Read at half a tank before; full now: 37 kg more, 1400 mm behind the front axle of 3320 mm.
  await page.getByRole('group', { name: 'Tank' }).getByRole('button', { name: 'full' }).click();
  await full;
  await typeInto(page, 'Hub to arch lip, left', '575');
  const left = page.locator('[data-side=left]');
  await expect(left).toContainText('of it converts the fill of the tank');
  // 37 · 1400/3320 = 15.6 kg on the axle, 76.5 N a spring, about 55 N/mm: 1.4 mm.
  await expect(left).toContainText('576 mm');
});
