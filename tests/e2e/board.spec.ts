import { type JobView } from '@/contracts/job';
import { type KnownAxle } from '@/contracts/vehicle';
import { boardRows } from '@/data/board';
import { findAxles, knownAxle } from '@/data/shop';
import { DEMO_PERSON, DEMO_SHOP } from '../../demo/ids';
import { manyJobs } from '../reference/manyJobs';
import { DEMO, expect, focusOn, onDatabase, openTab, test, typeInto } from './shop';

const SIX = [
  ['on the axle', '1240'],
  ['eye to eye', '45 1/4 in'],
  ['leaves', '5'],
  ['wide', '62'],
  ['thick', '7.9'],
  ['new leaf', '8'],
] as const;

test('a quick answer needs six numbers and no job, narrows with a seventh, and becomes a job with everything typed', async ({
  page,
  request,
}) => {
  await page.goto('/');
  const quick = page.getByRole('region', { name: 'Quick answer' });
  const verdict = quick.getByRole('status');
  await expect(verdict).toContainText('6 of 6 numbers to go');
  for (const [label, text] of SIX) await typeInto(page, `Quick answer, ${label}`, text);
  const spread = async () => {
    await expect(verdict).toContainText(/nine in ten/);
    const [, low, high] = /nine in ten ([+−]\d+) to ([+−]\d+)/.exec(
      (await verdict.innerText()).replaceAll(/\s+/g, ' '),
    )!;
    return Number(high!.replace('−', '-')) - Number(low!.replace('−', '-'));
  };
  await expect(verdict).toContainText(/\+\d+ ?mm/);
  const wide = await spread();
  await typeInto(page, 'Quick answer, free camber', '95');
  await expect.poll(spread).toBeLessThan(wide);
  // Everything typed is still there after a reload; another change asks for its own number only.
  await page.reload();
  await expect(verdict).toContainText(/\+\d+ ?mm/);
  await quick.getByRole('button', { name: 'block' }).click();
  await expect(verdict).toContainText('1 of 6 numbers to go');
  await typeInto(page, 'Quick answer, block, high', '2 in');
  await expect(verdict).toContainText('+51');
  await quick.getByRole('button', { name: 'Make it a job' }).click();
  await expect(page.getByText('4 readings of the quick answer go with it')).toContainText('45 1/4 in');
  await page.getByLabel('Complaint, in the owner’s words').fill('Low behind');
  await typeInto(page, 'Wanted height change', '40');
  await typeInto(page, 'Good enough within ±', '6');
  await page.getByLabel('Name or plate').fill('Quay bogie');
  await typeInto(page, 'Wheelbase', '2800');
  await page.getByLabel('Kind of axle').click();
  await page.getByTitle('pickup, rear').click();
  await page.getByRole('group', { name: 'Spring lies' }).getByRole('button', { name: 'over the axle' }).click();
  await page.getByRole('group', { name: 'Fuel tank' }).getByRole('button', { name: 'none' }).click();
  await page.getByRole('button', { name: 'Open the job and measure' }).click();
  await page.waitForURL(/\/measure$/);
  await openTab(page, 'list');
  await expect(page.getByLabel('Leaf width', { exact: true })).toHaveValue('62');
  const view = (await (
    await request.get(`/api${new URL(page.url()).pathname.replace('/measure', '')}`)
  ).json()) as JobView;
  expect(view.leaves).toHaveLength(5);
  expect(view.readings.map((r) => `${r.point} ${r.typed}`).sort()).toEqual(
    ['axleLoad 1240', 'eyeToEye 45 1/4 in', ...Array<string>(5).fill('leafThickness 7.9'), 'leafWidth 62'].sort(),
  );
});

test('the day sheet holds still, goes to the search by one key, and finds jobs by what was found or planned in them', async ({
  page,
}) => {
  for (const size of [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
  ]) {
    await page.setViewportSize(size);
    await page.goto('/');
    await expect(page.getByRole('row', { name: /Slipway/ })).toBeVisible();
    const [tall, wide] = await page.evaluate(() => [
      document.documentElement.scrollHeight - innerHeight,
      document.documentElement.scrollWidth - innerWidth,
    ]);
    expect([tall, wide]).toEqual([0, 0]);
  }
  // Before the page's program runs no key is heard.
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.keyboard.press('/');
  const search = page.getByRole('textbox', { name: 'Search vehicles, jobs, parts and findings' });
  await expect(search).toBeFocused();
  await page.keyboard.type('linkspan plate');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row')).toHaveCount(1);
  await expect(page.getByRole('row', { name: /luggage cart/ })).toBeVisible();
  await search.fill('100%_nothing');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Nothing found for “100%_nothing”')).toBeVisible();
  await search.fill('');
  await expect(page.getByRole('row', { name: /Slipway/ })).toBeVisible();
});

test('one search finds jobs, vehicles, owners and parts by wrong words, slips, parts of numbers and sizes, and keeps up with what changes', async ({
  page,
  request,
  shop,
}) => {
  const found = async (words: string) => {
    await page.goto(`/?q=${encodeURIComponent(words)}`);
    const things = page.getByRole('region', { name: 'Found besides jobs' });
    return {
      jobs: await page.getByRole('region', { name: 'Found' }).getByRole('row').allTextContents(),
      things: await things.getByRole('listitem').allTextContents(),
      nearly: (await things.getByRole('status').count()) > 0,
    };
  };
  const rust = await found('linkspan plate');
  expect(rust.jobs.join()).toContain('complaint: ');
  // A slip of the pen finds what is like it, and says so.
  const slip = await found('lugage');
  expect([slip.nearly, slip.jobs.join()]).toEqual([true, expect.stringContaining('luggage cart')]);
  // Words that stand in several places of one job.
  expect((await found('luggage linkspan')).jobs.join()).toContain('luggage cart');
  const part = await found('480');
  expect([part.nearly, part.things.join()]).toEqual([false, expect.stringContaining('SP-480')]);
  // The wrong word of the trade finds what is called by the right one.
  const id = crypto.randomUUID();
  const bush = {
    ...{
      id,
      kind: 'bush',
      name: 'Shackle bush, thin walled',
      maker: '',
      number: 'ZZ-9911',
      holding: 'stock',
      condition: 'new',
    },
    ...{
      origin: '',
      ageYears: null,
      quantity: 3,
      price: null,
      leadDays: null,
      rating: null,
      ratingTyped: null,
      form: null,
    },
    ...{ place: 'drawer 7', note: '', retired: false, version: 0, leaves: [], dimensions: [] },
  };
  const saved = await request.put(`/api/shelf/${id}`, { data: bush });
  expect(saved.ok(), await saved.text()).toBe(true);
  expect((await found('bushing 9911')).things.join()).toContain('Shackle bush');
  // Sizes with their units: leaves of jobs and of the shelf.
  const sized = await onDatabase(shop.ownerUrl, (c) =>
    c.query<{ width: number; thick: number }>(
      `SELECT w.value AS width, t.value AS thick FROM reading w JOIN reading t ON t.job_axle_id = w.job_axle_id
        WHERE w.point = 'leafWidth' AND t.point = 'leafThickness' AND w.job_id = $1 LIMIT 1`,
      [DEMO.planned.split('/')[2]],
    ),
  );
  const { width, thick } = sized.rows[0]!;
  for (const words of [`leaf ${width}x${thick}`, `${width / 25.4} x ${thick / 25.4} in`])
    expect((await found(words)).jobs.join()).toContain('four-by-four');
  expect((await found('leaf 3000x8 mm')).jobs).toEqual([]);
  // The part is opened from where it was found; what is renamed is found by its new name only.
  await page.goto('/?q=ZZ-9911');
  await page.getByRole('link', { name: 'Shackle bush, thin walled' }).click();
  await expect(page.getByText('drawer 7').first()).toBeVisible();
  expect((await request.put(`/api/shelf/${id}`, { data: { ...bush, version: 1, number: 'YY-1' } })).ok()).toBe(true);
  expect((await found('ZZ-9911')).things).toEqual([]);
  // Nobody finds what is another shop's.
  await onDatabase(shop.ownerUrl, async (c) => {
    await c.query("INSERT INTO shop (id, name) VALUES ('00000000-0000-4000-8000-00000000aaaa', 'other')");
    await c.query("UPDATE search_line SET shop_id = '00000000-0000-4000-8000-00000000aaaa' WHERE subject = 'part'");
  });
  expect((await found('YY-1')).things).toEqual([]);
});

test('keys lead from station to station and to the search, are told by “?”, and stay out of what is typed', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/choose`);
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.keyboard.press('?');
  const map = page.getByRole('dialog', { name: 'Keys' });
  await expect(map).toContainText('Measure');
  await page.keyboard.press('Escape');
  await expect(map).toBeHidden();
  await page.keyboard.press('2');
  await page.waitForURL(/\/measure$/);
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  const field = page.getByLabel('Hub to arch lip, left', { exact: true });
  await focusOn(field);
  await page.keyboard.press('4');
  await expect(field).toHaveValue(/4$/);
  await page.keyboard.press('Escape');
  await field.blur();
  await page.keyboard.press('/');
  await page.waitForURL(/\/\?find$/);
  await expect(page.getByRole('textbox', { name: 'Search vehicles, jobs, parts and findings' })).toBeFocused();
});

test('at 20,000 jobs the Board and the list of known axles are read through indexes, and stay small', async ({
  shop,
  request,
}) => {
  await onDatabase(shop.ownerUrl, (c) => manyJobs(c, DEMO_SHOP, 20_000));
  const asked: [string, unknown[]][] = [];
  const listening = {
    ...{ shop: DEMO_SHOP, person: DEMO_PERSON, run: () => Promise.resolve(0) },
    rows: (_: unknown, sql: string, values: unknown[] = []) => {
      asked.push([sql, values]);
      return Promise.resolve([]);
    },
  };
  await boardRows(listening, 30);
  await findAxles(listening, '', 20);
  await knownAxle(listening, DEMO_PERSON);
  await onDatabase(shop.appUrl, async (c) => {
    await c.query('BEGIN');
    await c.query('SET LOCAL ROLE gravelwort_app');
    await c.query("SELECT set_config('gravelwort.shop', $1, true)", [DEMO_SHOP]);
    for (const [sql, values] of asked) {
      const { rows } = await c.query<{ 'QUERY PLAN': string }>(`EXPLAIN ${sql}`, values);
      const plan = rows.map((r) => r['QUERY PLAN']).join('\n');
      // Nothing of which there are as many as jobs is read through; readings and predictions are the demo's few here.
      expect(plan).not.toMatch(/Seq Scan on (vehicle|axle|job|job_axle|load_state|due_check)\b/);
    }
  });
  expect((await (await request.get('/jobs/new')).body()).length).toBeLessThan(120_000);
  const found = (await (await request.post('/api/axles', { data: { words: 'truck 1234' } })).json()) as KnownAxle[];
  expect(found.map((a) => a.vehicle.name)).toContain('truck 1234');
  expect(found.length).toBeLessThanOrEqual(20);
});
