import { DEMO, expect, test } from './shop';

test('Build tells the order of the work; the school chosen there turns it round', async ({ page }) => {
  await page.goto(`${DEMO.planned}/build#steps`);
  const order = page.getByRole('region', { name: 'Order of the work' });
  const ids = () =>
    order.locator('[data-step]').evaluateAll((all) => all.flatMap((li) => li.getAttribute('data-step')!.split(' ')));
  await expect(order).toContainText('one side at a time');
  const one = await ids();
  expect(one.slice(0, 4)).toEqual(['chock', 'crack.left', 'crack.right', 'lift']);
  expect(one.at(-1)).toBe('roadTest');
  expect(one.indexOf('uboltsOn.left')).toBeLessThan(one.indexOf('uboltsOff.right'));
  await expect(order.locator('[data-step=holdAxle]')).toContainText('Frame and axle are each held on stands');
  const school = order.locator('[data-school=workSides]');
  await school.locator('summary').click();
  await school.getByRole('button', { name: 'both together' }).click();
  await school.getByLabel('Why, One side at a time').fill('two of us, both packs new');
  await school.getByRole('button', { name: 'For this job' }).click();
  await expect(order).toContainText('both sides undone together');
  const both = await ids();
  expect([...both].sort()).toEqual([...one].sort());
  expect(both.indexOf('uboltsOff.right')).toBeLessThan(both.indexOf('uboltsOn.left'));
  // Two axles on a rocker, worked on as one.
  await page.goto('/jobs/5a1e0007-0000-4000-8000-000000000f00/build#steps');
  await expect(order.locator('[data-step=holdAxle]')).toContainText('Stands under both axles');
});

test('steps are ticked one by one, by two tablets at once; what cannot be as it is ticked is told', async ({
  page,
  request,
}) => {
  const steps = `/api${DEMO.provenInside}/steps`;
  const tick = (step: string, done = true, id = crypto.randomUUID()) =>
    request.post(steps, { data: { id, step, done } });
  await page.goto(`${DEMO.provenInside}/build`);
  const next = page.getByTestId('next-step');
  await page.getByRole('button', { name: /^Done, Chock the wheels/ }).click();
  await expect(next).toContainText('left: Crack the wheel nuts');
  // A step that came up this moment is not taken; once it was read a glove that taps twice ticks one.
  await page.waitForTimeout(900);
  await next.getByRole('button', { name: 'Done' }).dblclick();
  await expect(next).toContainText('right: Crack the wheel nuts');
  // The other tablet, meanwhile; sent twice after a lost answer it is one tick.
  const id = crypto.randomUUID();
  expect((await tick('crack.right', true, id)).ok()).toBe(true);
  expect((await tick('crack.right', true, id)).ok()).toBe(true);
  expect((await tick('crack.right', false, id)).status()).toBe(409);
  expect((await tick('uboltsOff.left')).ok()).toBe(true);
  await page.reload();
  await expect(next).toContainText('Lift, and let the frame');
  await expect(next).toContainText('STOP: What carries the axle is undone and the axle is not held');
  const off = page.getByRole('button', { name: 'Done, left: U-bolt nuts in turn' });
  await expect(off).toHaveAttribute('aria-pressed', 'true');
  await off.click();
  await expect(next).not.toContainText('STOP');
  expect((await request.post(`/api${DEMO.planned}/steps`, { data: { id, step: 'chock', done: true } })).status()).toBe(
    422,
  );
});
