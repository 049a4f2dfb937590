import { type JobView } from '@/contracts/job';
import { DEMO, expect, openTab, test, typeInto } from './shop';

test('an overload leaf, leaves made flat and eyes nobody saw are told in Measure, asked for no more than that, and stand in the band', async ({
  page,
  request,
}) => {
  const view = async () => (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const band = async () => {
    await page.goto(`${DEMO.planned}/choose`);
    const total = page.getByTestId('ledger').locator('tr[data-kind=total] td').last();
    await expect(page.getByText('Drawing the band')).toHaveCount(0, { timeout: 30_000 });
    return parseFloat(await total.innerText());
  };
  const narrow = await band();
  await page.goto(`${DEMO.planned}/measure#list`);
  const field = (name: string) => page.getByRole('textbox', { name });
  const daylight = field('Daylight over the overload leaf');
  const pick = (group: string, name: string) =>
    page.getByRole('group', { name: group }).getByRole('button', { name }).click();
  await expect(daylight).toHaveCount(0);
  await pick('The lowest leaf is', 'an overload leaf, nearly straight');
  await expect(daylight).toHaveCount(1);
  await typeInto(page, 'Daylight over the overload leaf', '400');
  await expect(page.getByText(/between .* and .*200/).first()).toBeVisible();
  await typeInto(page, 'Daylight over the overload leaf', '12');
  await pick('Between the U-bolts the leaves are', 'left curved');
  await expect(field('Length formed flat')).toHaveCount(0);
  await pick('Between the U-bolts the leaves are', 'made flat');
  await expect(field('Length formed flat')).toHaveCount(1);
  await pick('Main leaf’s eyes', 'not seen');
  await expect
    .poll(async () => (await view()).pack)
    .toMatchObject({
      lowestLeaf: 'overload',
      seatShape: 'formed',
      eyeForm: null,
    });
  expect((await view()).readings.find((r) => r.point === 'overloadGap')).toMatchObject({ value: 12, typed: '12' });
  expect(await band()).toBeGreaterThan(narrow);
  await openTab(page, 'adds up');
  await expect(page.getByText('form of the eyes').first()).toBeVisible();
});
