import { type Page } from '@playwright/test';
import { DEMO, expect, focusOn, openTab, test, typeInto } from './shop';

const total = (page: Page) => page.getByTestId('ledger').locator('tr.total .figure').first();
const lines = (page: Page) => page.getByTestId('ledger').locator('tbody tr:not(.total):not(.later)');

test('the side and the load state are chosen, and each ledger starts from its own measured height', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/choose#ledger`);
  await expect(page.getByRole('heading', { name: 'Height ledger, left, stretcher kit and crew' })).toBeVisible();
  // 19 1/4 in on the left, 19 7/16 in on the right.
  await expect(lines(page).first()).toContainText('489 mm');
  await expect(lines(page).filter({ hasText: 'load: stretcher kit and crew' })).toHaveCount(1);
  await page.getByRole('button', { name: 'right', exact: true }).click();
  await expect(lines(page).first()).toContainText('494 mm');
  await page.getByRole('group', { name: 'Load state' }).getByRole('button', { name: 'as it stands today' }).click();
  await expect(page.getByRole('heading', { name: 'Height ledger, right, as it stands today' })).toBeVisible();
  await expect(lines(page).filter({ hasText: 'load:' })).toHaveCount(0);
});

test('inches: printed sixteenths add up as printed, and what was typed stays as typed', async ({ page }) => {
  await page.goto(`${DEMO.planned}/choose`);
  await expect(total(page)).toContainText('mm');
  await page.getByRole('button', { name: 'in, lb' }).click();
  const spoken = async (row: number) => {
    const text = await lines(page).nth(row).locator('td').nth(1).locator('.hidden-word').innerText();
    const [, minus, whole, top, bottom] = /^(minus )?(?:(\d+)(?: and | ))?(?:(\d+) over (\d+) )?inches$/.exec(text)!;
    return (minus ? -1 : 1) * (Number(whole ?? 0) + (top ? Number(top) / Number(bottom) : 0));
  };
  let sum = 0;
  for (let row = 0; row < (await lines(page).count()); row++) sum += await spoken(row);
  const said = await page.getByTestId('ledger').locator('tr.total .hidden-word').first().innerText();
  const [, whole, top, bottom] = /^(\d+)(?: and (\d+) over (\d+))? inches$/.exec(said)!;
  expect(sum).toBe(Number(whole) + (top ? Number(top) / Number(bottom) : 0));
  // What was typed in millimetres is shown with its unit and stays what it was.
  await expect(page.getByLabel('Free camber', { exact: true })).toHaveValue('111 mm');
  // The choice is kept over a reload, in the first paint already.
  await page.reload();
  await expect(page.getByRole('button', { name: 'in, lb', pressed: true })).toBeVisible();
});

test('the latest figure wins: values typed faster than they are solved end with the last one', async ({ page }) => {
  await page.goto(`${DEMO.planned}/choose`);
  await expect(total(page)).toContainText('mm');
  const settled = async () => {
    await expect(page.getByText(/saved, version/)).toBeVisible();
    await expect(page.getByText('Drawing the band…')).toBeHidden({ timeout: 30_000 });
    return total(page).innerText();
  };
  await typeInto(page, 'Free camber', '95');
  const slow = await settled();
  for (const camber of ['120', '140', '105', '95']) await typeInto(page, 'Free camber', camber);
  expect(await settled()).toBe(slow);
  await typeInto(page, 'Free camber', '140');
  expect(parseFloat(await settled())).toBeGreaterThan(parseFloat(slow) + 5);
});

test('an unfinished change stays on this screen over a reload and is not solved', async ({ page }) => {
  await page.goto(`${DEMO.planned}/choose`);
  await expect(total(page)).toContainText('mm');
  const before = await total(page).innerText();
  await page.getByRole('button', { name: '+ Shackle' }).click();
  await expect(page.getByText('unfinished, kept on this screen')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store this prediction' })).toBeDisabled();
  await page.reload();
  await expect(page.getByLabel('New shackle, bolt to bolt')).toBeVisible();
  await expect(total(page)).toHaveText(before);
  await typeInto(page, 'New shackle, bolt to bolt', '4 7/8 in');
  await expect(page.getByText('saved, version 3')).toBeVisible();
  await expect(lines(page).filter({ hasText: 'shackle' })).toHaveCount(1);
  await page.getByRole('group', { name: 'Shackle', exact: true }).getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByText('saved, version 4')).toBeVisible();
  await expect(total(page)).toHaveText(before);
});

test('a spring moved over the axle raises the frame by tube, pack and both perches, and needs new U-bolts', async ({
  page,
  request,
}) => {
  await request.put(`/api${DEMO.provenOutside}/plan`, { data: { version: 2, changes: [] } });
  await page.goto(`${DEMO.provenOutside}/choose#plan`);
  await page.getByRole('button', { name: '+ Spring over the axle' }).click();
  await typeInto(page, 'New perch height', '24');
  // Tube 80 and old perch 20 assumed, pack 8.2 + 8.1 + 8.2 + 8.0 + 6.6, new perch 24: 163.1 mm.
  await openTab(page, 'adds up');
  await expect(page.getByText('The work changes it by +163 mm')).toBeVisible();
  await openTab(page, 'must fit');
  await expect(page.locator('[data-check=threads]')).toContainText('does not fit');
  await expect(page.locator('[data-check=locator]')).toContainText('not checked');
  await expect(page.getByText(/STOP: 1 does not fit, \d+ not checked/)).toBeVisible();
});

test('readings that do not go together are named instead of a height', async ({ page }) => {
  await page.goto(`${DEMO.planned}/choose`);
  await typeInto(page, 'Pin to front tip', '36 in');
  await expect(page.getByText('longer than the main leaf')).toBeVisible();
  await expect(page.getByText('No height can be foretold from this.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store this prediction' })).toBeDisabled();
});

test('Measure says how the field at work is read', async ({ page }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const figure = page.getByRole('region', { name: 'Field at work' });
  // Fields wait until the page's program runs.
  await expect(page.getByLabel('Loaded arch, left', { exact: true })).toBeEnabled();
  await focusOn(page.getByLabel('Loaded arch, left', { exact: true }));
  await expect(figure.getByText('Line between the eye centres down to')).toBeVisible();
  await focusOn(page.getByLabel('Front eye to centre bolt', { exact: true }));
  await expect(figure.getByText('Along the main leaf, eye centre to centre bolt.')).toBeVisible();
});

test('an empty sheet shows a dotted spring and links to the readings that are next', async ({ page }) => {
  await page.goto(`${DEMO.begun}/measure#stands`);
  await expect(page.getByText(/Dotted: typical values stand in for \d+ readings/)).toBeVisible();
  await openTab(page, 'what next');
  await page.getByRole('button', { name: 'loaded arch, left' }).click();
  await expect(page.getByLabel('Loaded arch, left', { exact: true })).toBeFocused();
});
