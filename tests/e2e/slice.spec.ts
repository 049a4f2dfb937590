import { type Page } from '@playwright/test';
import { expect, openTab, test, typeInto } from './shop';

/*
 * One job from tape to proven height, on an axle whose answer can be worked by hand: a single leaf gets a second one like it.
 *
 * Half length a = 26 in − κ·(4 in)/2 with κ = 0.67 assumed: 660.4 − 34.04 = 626.36 mm. I = b t³/12 with b = 2 1/2 in = 63.5 and
 * t = 1/2 in = 12.7 mm: 10,839 mm⁴. E = 206,800 MPa. Load per spring (700 − 190)/2 kg · 9.80665 = 2,500.7 N, 1,250.3 N an end.
 * Cantilever deflection P a³/3EI (S. Timoshenko, Strength of Materials, Part I) = 45.7 mm. Two equal full-length leaves of equal
 * free curve share the load, so the spring rises by half of that, and the frame by the new leaf's 12.7 mm besides.
 */
const HALF = 26 * 25.4 - (0.67 * 4 * 25.4) / 2;
const INERTIA = (2.5 * 25.4 * (0.5 * 25.4) ** 3) / 12;
const END_LOAD = (((700 - 190) / 2) * 9.80665) / 2;
const DEFLECTION = (END_LOAD * HALF ** 3) / (3 * 206_800 * INERTIA);
const BY_HAND = DEFLECTION / 2 + 0.5 * 25.4;
/**
 * Free camber of the leaf that is there: its free arch is the loaded arch to the leaf's middle plus what the load takes out. In
 * the pack the seat holds it flat; lying free it is curved over its whole length, which is (26 in / a)² more.
 */
const FREE_CAMBER = (2 * 25.4 + 0.25 * 25.4 + DEFLECTION) * ((26 * 25.4) / HALF) ** 2;

async function ask(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Complaint, in the owner’s words').fill('Nose high on the slip, stern on the cobbles');
  await typeInto(page, 'Wanted height change', '1 3/8 in');
  await typeInto(page, 'Good enough within ±', '1/4 in');
  await page.getByLabel('Name or plate').fill('Test bogie');
  await typeInto(page, 'Wheelbase', '9 ft 2 in');
  // What nobody looked at is not filled in: without it no job is opened.
  await expect(page.getByRole('button', { name: 'Open the job and measure' })).toBeDisabled();
  await page.getByLabel('Kind of axle').click();
  await page.getByTitle('pickup, rear').click();
  await page.getByRole('group', { name: 'Spring lies' }).getByRole('button', { name: 'over the axle' }).click();
  await page.getByRole('group', { name: 'Fuel tank' }).getByRole('button', { name: 'none' }).click();
  await page.getByRole('group', { name: 'Leaves in the pack' }).getByRole('button', { name: '1', exact: true }).click();
  // Reload in mid-form: everything typed is still there.
  await page.reload();
  await expect(page.getByLabel('Name or plate')).toHaveValue('Test bogie');
  await expect(page.getByLabel('Wheelbase', { exact: true })).toHaveValue('9 ft 2 in');
  await typeInto(page, 'Your own guess of the outcome', '2 in');
  await page.getByRole('button', { name: 'Open the job and measure' }).click();
  await page.waitForURL(/measure$/);
  await openTab(page, 'list');
}

test('one job from tape measure to proven height, in typed fractions, with a reload in the middle', async ({
  page,
}) => {
  await ask(page);

  await page.getByRole('button', { name: 'yes, rolled' }).click();
  await typeInto(page, 'Hub to arch lip, left', '19-1/2 in');
  await typeInto(page, 'Hub to arch lip, right', '19 5/8"');
  await typeInto(page, 'Block height', '0');
  await typeInto(page, 'Thread showing', '3/4 in');
  await typeInto(page, 'Thread pitch', '1/18 in');
  await typeInto(page, 'Loaded arch, left', '2 in');
  // A draft not yet accepted survives the reload, and what was accepted is on the server.
  await page.getByLabel('Loaded arch, right', { exact: true }).fill('2 i');
  await page.reload();
  await expect(page.getByLabel('Loaded arch, right', { exact: true })).toHaveValue('2 i');
  await expect(page.getByLabel('Loaded arch, left', { exact: true })).toHaveValue('2 in');
  await expect(page.getByText('19.500 in = 495.3 mm')).toBeVisible();
  await typeInto(page, 'Loaded arch, right', '2 in');
  await typeInto(page, 'Front eye to centre bolt', '26 in');
  await typeInto(page, 'Rear eye to centre bolt', '26 in');
  await page.getByRole('button', { name: 'eye centred on it' }).click();
  await typeInto(page, 'Leaf width', '2 1/2 in');
  await typeInto(page, 'Thickness, leaf 1', '1/2 in');
  await typeInto(page, 'U-bolt spacing', '4 in');
  await page.getByRole('button', { name: 'clamped flat' }).click();
  await typeInto(page, 'Axle load, estimated', '700');
  await typeInto(page, 'Shackle angle', '90');
  await openTab(page, 'what next');
  await expect(page.getByText('leaf, shackle, over the axle: can be predicted')).toBeVisible();

  await page.getByRole('link', { name: 'On to Choose' }).click();
  await openTab(page, 'plan');
  await page.getByRole('button', { name: '+ Leaf added' }).click();
  await typeInto(page, 'Pin to front tip', '26 in');
  await typeInto(page, 'Pin to rear tip', '26 in');
  await typeInto(page, 'Thickness', '1/2 in');
  await typeInto(page, 'Free camber', `${FREE_CAMBER.toFixed(1)} mm`);
  await expect(page.getByText('saved, version 2')).toBeVisible();

  const total = page.getByTestId('ledger').locator('tr.total .figure').first();
  await expect(total).toContainText('mm');
  const shown = parseFloat(await total.innerText());
  expect(Math.abs(shown - (19.5 * 25.4 + BY_HAND))).toBeLessThanOrEqual(1.5);
  // The printed lines add up as printed.
  const cells = await page
    .getByTestId('ledger')
    .locator('tbody tr:not(.total):not(.later) td:nth-child(2)')
    .allInnerTexts();
  const sum = cells.reduce((s, text) => s + Number(text.replace('−', '-').replace(/[^\d.-]/g, '')), 0);
  expect(sum).toBe(shown);
  // 3/4 in less the new leaf's 1/2 in: a quarter inch, 4.5 threads at 18 per inch.
  await openTab(page, 'must fit');
  await expect(page.locator('[data-check=threads]')).toContainText('4.5 threads left');

  await openTab(page, 'plan');
  await page.getByRole('button', { name: 'Store this prediction' }).click();
  await expect(page.getByText(/Plan 1: leaf added.*core \d+\.\d+\.\d+/)).toBeVisible();

  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByRole('button', { name: 'Start the build' }).click();
  await expect(page.getByText('Support and stored energy are not confirmed yet.')).toBeVisible();
  for (const name of [
    'Frame held on stands',
    'Axle held on its own',
    'Wheels on the ground chocked',
    'Spring slack before the last fastener',
  ])
    await page.getByRole('group', { name }).getByRole('button', { name: 'ok', exact: true }).click();
  await expect(page.getByRole('button', { name: 'ok', exact: true, pressed: true })).toHaveCount(4);
  await page.getByRole('button', { name: 'Start the build' }).click();
  await expect(page.getByTestId('next-step')).toContainText('Chock the wheels');

  await page.getByRole('link', { name: 'Prove' }).click();
  const tape = page.getByLabel('Hub to arch lip, left');
  await tape.fill('20 7/8 in');
  await tape.press('Enter');
  await expect(page.getByText('Roll the vehicle first')).toBeVisible();
  await page.getByRole('checkbox').check();
  await tape.press('Enter');
  const left = page.locator('[data-side=left]');
  await expect(left).toContainText('inside the band');
  await expect(left).toContainText('530 mm');
  // 19 1/2 + 2 in guessed.
  await expect(left).toContainText('546 mm');
  await typeInto(page, 'Hub to arch lip, right', '22 in');
  await expect(page.locator('[data-side=right]')).toContainText('outside the band');
  await page.getByRole('link', { name: 'Board', exact: false }).first().click();
  const row = page.getByRole('row', { name: /Test bogie/ });
  await expect(row).toContainText('outside its band');
  await expect(row).toContainText('Wheel nuts: torque again');
  await row.getByRole('button', { name: 'record it' }).click();
  await row.getByLabel('What was read').fill('all ten at the plate’s figure');
  await row.getByRole('button', { name: 'Done today' }).click();
  await expect(row).toContainText('Pack: clip bolts');
});

test('a block is answered after the first two heights, before any leaf is measured', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/5a1e0004-0000-4000-8000-000000000f00/choose#plan`);
  await page.getByRole('button', { name: '+ Block' }).click();
  await typeInto(page, 'Block height after the work', '2 1/4 in');
  const total = page.getByTestId('ledger').locator('tr.total .figure').first();
  // 291 mm measured on the left; the cart's springs lie under the axle, where 57.15 mm of block lower it.
  await expect(total).toHaveText('234 mm');
  await expect(page.getByText('Dotted: typical values stand in')).toBeVisible();
});
