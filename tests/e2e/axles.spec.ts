import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { expect, openTab, test, typeInto } from './shop';

const id = (n: number) => `5a1e0005-0000-4000-8000-000000000f0${n}`;
const [REAR, FRONT] = [`/jobs/${id(0)}`, `/jobs/${id(1)}`];
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

test('the other axle is taken into a job, measured on its own sheet, left out and taken up again with nothing lost', async ({
  page,
  request,
}) => {
  const job = '/jobs/5a1e0001-0000-4000-8000-000000000f00';
  await page.goto(`${job}/ask#axles`);
  await page.getByRole('button', { name: 'Work on the front axle too' }).click();
  const form = page.getByRole('group', { name: 'Take in the front axle' });
  await typeInto(page, 'Wanted height change there', '12');
  await page.reload();
  await expect(page.getByLabel('Wanted height change there', { exact: true })).toHaveValue('12');
  await typeInto(page, 'Good enough there, within', '5');
  await form.getByRole('combobox', { name: 'Kind of axle' }).click();
  await page.getByTitle('one-ton, rear').click();
  await form.getByRole('button', { name: 'over the axle' }).click();
  await form.getByRole('group', { name: 'Leaves in its pack' }).getByRole('button', { name: '3' }).click();
  await form.getByRole('button', { name: 'Take it in and measure' }).click();
  await page.waitForURL(/measure/);
  await openTab(page, 'list');
  await expect(page.getByRole('heading', { name: 'Fish-market flatbed, front axle' })).toBeVisible();
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, 'Hub to arch lip, left', '402');
  await saved;
  const at = page.getByRole('navigation', { name: 'Axle at work' });
  await expect(at.getByRole('link')).toHaveCount(2);
  const [rear, front] = await Promise.all([
    get(request, job),
    get(request, new URL(page.url()).pathname.replace('/measure', '')),
  ]);
  expect(front.leaves).toHaveLength(3);
  expect(front.readings.map((r) => r.value)).toEqual([402]);
  expect(rear.readings.some((r) => r.value === 402)).toBe(false);
  expect(front.plan.id).not.toBe(rear.plan.id);
  expect(front.job.wantedChange).toBe(12);
  expect(rear.job).toMatchObject({ wantedChange: 46, complaint: front.job.complaint, version: front.job.version });
  // Stands under the rear say nothing of the front.
  expect(rear.safety.find((a) => a.item === 'frameHeld')!.answer).toBe('ok');
  expect(front.safety).toEqual([]);
  // A job is closed as a whole: what the other axle lacks is named from here.
  const closing = await request.post(`/api${job}/closing`, {
    data: { id: crypto.randomUUID(), closed: true, note: 'x' },
  });
  expect(((await closing.json()) as { message: string }).message).toContain('rear: ');
  await at.getByRole('link', { name: /rear/ }).click();
  await expect(page.getByRole('heading', { name: 'Fish-market flatbed, rear axle' })).toBeVisible();
  await page.goto(`${job}/ask#axles`);
  const rows = page.getByRole('region', { name: 'Axles of this job' }).getByRole('listitem');
  await rows.filter({ hasText: 'front' }).getByRole('button', { name: 'leave it out' }).click();
  await expect(page.getByRole('navigation', { name: 'Axle at work' })).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'and its front axle' })).toHaveCount(1);
  await page.goto(`${job}/ask#axles`);
  await rows.filter({ hasText: 'front' }).getByRole('button', { name: 'take it up again' }).click();
  await expect(page.getByRole('navigation', { name: 'Axle at work' }).getByRole('link')).toHaveCount(2);
  expect((await get(request, `/jobs/${front.id}`)).readings).toHaveLength(1);
  const last = await request.post(`/api/jobs/5a1e0004-0000-4000-8000-000000000f00/axles`, {
    data: { act: 'drop', id: '5a1e0004-0000-4000-8000-000000000f00' },
  });
  expect(last.status()).toBe(422);
});

test('rake follows from both axles’ own plans; unlike packs are foretold each for itself, and “the same” takes that back', async ({
  page,
  request,
}) => {
  await page.goto(`${REAR}/choose#level`);
  const level = page.getByRole('region', { name: 'Level and rake' });
  await expect(level).toContainText('The front axle is told with its own springs and its own plan');
  const rake = async () => {
    const cells = level.getByRole('row').filter({ hasText: 'stores aboard' }).getByRole('cell');
    await expect(cells.nth(2)).toContainText('→');
    return (await cells.nth(2).innerText()).replaceAll('−', '-').match(/-?\d+/g)!.map(Number);
  };
  const [was, will] = await rake();
  // Nothing done at the front: it no longer follows the rear up.
  const front = await get(request, FRONT);
  const cleared = await request.put(`/api${FRONT}/plan`, { data: { version: front.plan.version, changes: [] } });
  expect(cleared.ok()).toBe(true);
  await page.reload();
  await expect(level).toContainText('its own springs as they are');
  const [before, alone] = await rake();
  expect(before).toBe(was);
  expect(alone! - will!).toBeGreaterThan(10);

  await page.goto(`${REAR}/measure#list`);
  const leaves = page.getByRole('region', { name: 'Leaf by leaf' });
  await expect(leaves.getByRole('group', { name: /Leaf \d, left/ })).toHaveCount(5);
  await expect(leaves.getByRole('group', { name: /Leaf \d, right/ })).toHaveCount(4);
  await typeInto(page, 'Thickness, leaf 4, right', '8.2');
  const kept = async () => {
    const { own, readings } = await get(request, REAR);
    return readings.find((r) => r.leafId === own!.leaves[3]!.id && r.point === 'leafThickness')!.value;
  };
  await expect.poll(kept).toBe(8.2);
  await leaves.getByRole('button', { name: 'the same' }).click();
  await expect(leaves.getByRole('group', { name: /^Leaf \d$/ })).toHaveCount(5);
  // What belongs to one side's own pack has no place while one pack stands for both.
  const astray = await request.post(`/api${REAR}/readings`, {
    data: {
      ...{ id: crypto.randomUUID(), point: 'leafWidth', phase: 'before', side: 'right', leafId: null, stateId: null },
      ...{ typed: '60', value: 60, unit: 'mm', rolled: null, instrument: 'caliper', supersedes: null },
    },
  });
  expect(astray.status()).toBe(400);
  await leaves.getByRole('button', { name: 'different' }).click();
  await expect(leaves.getByRole('group', { name: /Leaf \d, right/ })).toHaveCount(4);
  await expect(page.getByLabel('Thickness, leaf 4, right', { exact: true })).toHaveValue('8.2');
});

test('a trailer hangs on its coupling: it is measured and told from there, and has no front axle', async ({
  page,
  request,
}) => {
  const trailer = '/jobs/5a1e0002-0000-4000-8000-000000000f00';
  await page.goto(`${trailer}/ask#axles`);
  const axles = page.getByRole('region', { name: 'Axles of this job' });
  await expect(axles).toContainText('rear axle, this one');
  await expect(axles.getByRole('button', { name: /Work on/ })).toHaveCount(0);
  const taken = await request.post(`/api${trailer}/axles`, {
    data: {
      ...{ act: 'add', id: crypto.randomUUID(), position: 'front', leafCount: 3, wantedChange: 0, wantedTyped: '0' },
      ...{ tolerance: 5, toleranceTyped: '5', guess: null, guessTyped: null },
      facts: { arrangement: 'over', axleClass: 'trailer3t', steered: false },
    },
  });
  expect(await taken.json()).toMatchObject({ code: 'bad-input', field: 'position' });
  await page.goto(`${trailer}/measure#list`);
  await expect(page.getByLabel('Ground to the coupling, left', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Spring rate, other axle', { exact: true })).toHaveCount(0);
  // This one is being built already: what was read before it is added with its reason.
  const [state] = (await get(request, trailer)).states;
  for (const [point, value] of [
    ['otherAxleLip', 452],
    ['groundToLip', 819],
  ] as const)
    for (const side of ['left', 'right']) {
      const reading = {
        id: crypto.randomUUID(),
        point,
        phase: 'before',
        side,
        leafId: null,
        stateId: state!.id,
        value,
      };
      const read = await request.post(`/api${trailer}/readings`, {
        data: {
          ...reading,
          ...{ typed: `${value} mm`, unit: 'mm', rolled: true, instrument: 'tape', supersedes: null },
          correctionReason: 'written on the card, not on the sheet',
        },
      });
      expect(read.ok()).toBe(true);
    }
  await page.goto(`${trailer}/choose#level`);
  const level = page.getByRole('region', { name: 'Level and rake' });
  await expect(level).toContainText('axle over coupling');
  // 819 mm of lip less 452 mm of coupling.
  await expect(level.getByRole('row').filter({ hasText: 'as it stands today' })).toContainText('+367');
});
