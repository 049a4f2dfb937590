import { type JobView } from '@/contracts/job';
import { DEMO, expect, test, typeInto } from './shop';

test('a sum is found by a wrong word, answers as it is typed, and opens the same from its address', async ({
  page,
}) => {
  await page.goto('/handbook');
  await page.getByLabel('Find by any word or figure').fill('ft-lb newton');
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
  await page.goto('/handbook?sum=threads');
  await expect(page.getByRole('row').filter({ hasText: 'M14 x 1.5' })).toContainText('124.5');
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
});

test('a figure finds its sums with itself in them, a wrong word the part; back leads back', async ({ page }) => {
  await page.goto('/handbook');
  const find = page.getByLabel('Find by any word or figure');
  const list = page.getByRole('navigation', { name: 'Sums' });
  await find.fill('9/16-18');
  await list.getByRole('button', { name: 'U-bolt to order' }).click();
  await expect(page.getByLabel('Thread', { exact: true })).toHaveValue('9/16-18');
  await expect(page.getByTestId('answer')).toContainText('9/16-18 UNF');
  // One step is one thread, and the drawing goes with it.
  await page.getByRole('button', { name: 'Thread, one step more' }).click();
  await expect(page.getByLabel('Thread', { exact: true })).toHaveValue('5/8-11 UNC');
  await find.fill('fish plate');
  await list.getByRole('button', { name: 'spring plate' }).click();
  await expect(page.getByRole('heading', { name: 'spring plate' })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Thread', { exact: true })).toHaveValue('5/8-11 UNC');
  await page.getByRole('button', { name: 'Code for a phone' }).click();
  await expect(page.locator('.code svg')).toBeVisible();
});

test('with the network gone, from a cold start: ten answers, one printed; what is not kept leads here', async ({
  page,
  context,
}) => {
  await page.goto('/handbook');
  await expect(page.getByText('kept on this screen')).toBeAttached();
  // Nobody's name is kept with it.
  const kept = await page.evaluate(async () => {
    const page = await caches.match('/handbook/kept');
    return page!.text();
  });
  expect(kept).toContain('Clamp of a torque');
  expect(kept).not.toContain('Korvild');
  await page.close();
  await context.setOffline(true);
  const cold = await context.newPage();
  const answer = cold.getByTestId('answer');
  for (const [asked, told] of [
    ['sum=clamp&thread=1%2F2-13&torque=75+ft-lb&grade=grade+5', '75 % of its proof load'],
    ['sum=torque&thread=5%2F8-11&grade=grade+8', '287'],
    ['sum=inch&length=3+7%2F16+in', '87.3'],
    ['sum=hole&bolt=18+mm&hole=3%2F4+in', 'M18: close 19'],
    ['sum=which&outside=14.15+mm&ten=10%2F18+in', '9/16-18 UNF'],
    ['sum=spanner&across=9%2F16+in', '14 mm: near miss'],
    ['sum=range&low=79+ft-lb&high=97+ft-lb&value=80+ft-lb', '119.3'],
    ['sum=wedge&turn=3%C2%B0&seat=100+mm&thin=3+mm', '8.2'],
    ['sum=tyre&width=225+mm&aspect=75&rim=16&width2=265+mm&aspect2=75&rim2=16', '29.1'],
    ['sum=tongue&mass=1000+kg&cog=2700+mm&axle=3000+mm', '100'],
  ] as const) {
    await cold.goto(`/handbook?${asked}`);
    await expect(answer).toContainText(told);
  }
  await expect(cold.getByText('no network: sums and tables work')).toBeAttached();
  const printed = await cold.pdf();
  expect(printed.length).toBeGreaterThan(5000);
  await cold.goto(DEMO.planned);
  await expect(cold).toHaveURL(/\/handbook#unreached$/);
  await context.setOffline(false);
});

test('a sum opened from a job leads back and hands its answer to the job’s list; waits stand on the calendar', async ({
  page,
  request,
}) => {
  const job = DEMO.planned.split('/').at(-1)!;
  await page.goto(`/handbook?sum=eyes&bore=38+mm&thickness=8+mm&was=upturned&will=downturned&job=${job}`);
  await expect(page.getByTestId('answer')).toContainText('frame goes down by46 mm');
  await page.getByRole('button', { name: 'Put this answer on its list' }).click();
  await expect(page.getByText(/^On the list to buy: Eyes rolled another way: frame goes down by 46/)).toBeVisible();
  const { kit } = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  expect(kit.filter((item) => item.what.startsWith('Eyes rolled another way'))).toMatchObject([
    { wanted: 1, state: 'notInKit' },
  ]);
  await page.getByRole('link', { name: 'Back to the job' }).click();
  await expect(page).toHaveURL(new RegExp(`${DEMO.planned}/check`));
  // Nobody's job: nothing to lead back to.
  await page.goto('/handbook?sum=days&order=6&job=nonsense');
  await expect(page.getByRole('link', { name: 'Back to the job' })).toHaveCount(0);
  await page.getByLabel('The day of the work').fill('2027-03-10');
  const calendar = page.getByRole('region', { name: 'On the calendar' });
  await expect(calendar.getByRole('listitem').first()).toContainText('Thu 4 Mar');
  await expect(calendar.getByRole('listitem').last()).toContainText('Wed 10 Mar');
});
