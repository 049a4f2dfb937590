import { expect, test, typeInto } from './shop';

test('a sum is found by a wrong word, answers as it is typed, and opens the same from its address', async ({
  page,
}) => {
  await page.goto('/handbook');
  await page.getByLabel('Find by any word').fill('ft-lb');
  const list = page.getByRole('navigation', { name: 'Sums' });
  await expect(list.getByRole('button')).toHaveCount(2);
  await list.getByRole('button', { name: 'Torque for a bolt' }).click();
  const answer = page.getByTestId('answer');
  await typeInto(page, 'Thread', '1/2-13');
  await page.getByRole('group', { name: 'Head says' }).getByRole('button', { name: 'grade 5' }).click();
  // Three quarters of proof, dry: 75 lbf·ft in a handbook's table, 102 N·m.
  await expect(answer).toContainText('102.2');
  await page.goto(page.url());
  await expect(answer).toContainText('102.2');
  await expect(page.getByLabel('Thread', { exact: true })).toHaveValue('1/2-13');
  // A grade that does not go with the thread is refused in words, and nothing typed is lost.
  await page.getByRole('group', { name: 'Head says' }).getByRole('button', { name: '10.9' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Head says' })).toContainText('no grade of a unified bolt');
  await expect(page.getByLabel('Thread', { exact: true })).toHaveValue('1/2-13');
});

test('at the roadside: one hand, no job, sums and tables on a phone, in inches where a person wants them', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/handbook?sum=hole&bolt=12+mm&hole=1%2F2+in');
  await expect(page.getByTestId('answer')).toContainText('The bolt goes in.');
  await page.goto('/handbook?sum=tables');
  await expect(page.getByRole('row').filter({ hasText: 'M14 x 1.5' })).toContainText('124.5');
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
});
