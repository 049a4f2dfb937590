import { spawn, type ChildProcess } from 'node:child_process';
import { type Run } from '@/contracts/run';
import { unzipped } from '@/server/files/zip';
import { DEMO_SHOP } from '../../demo/ids';
import { DEMO, expect, onDatabase, openTab, test, type Shop } from './shop';

const worker = (shop: Shop): ChildProcess =>
  spawn('node_modules/.bin/tsx', ['scripts/worker.ts'], {
    env: { ...process.env, APP_DATABASE_URL: shop.appUrl },
    stdio: 'ignore',
    detached: true,
  });
const idOf = (path: string): string => path.split('/')[2]!;

test('predictions anew, papers, differences and jobs of other shops run in the background; what came to nothing is told and done again', async ({
  page,
  request,
  shop,
}) => {
  test.setTimeout(200_000);
  const child = worker(shop);
  try {
    const done = async (id: string) => {
      const run = async () => (await (await request.get(`/api/runs/${id}`)).json()) as Run;
      await expect.poll(async () => (await run()).batch.done, { timeout: 90_000 }).toBe((await run()).batch.pieces);
      return run();
    };
    const asked = async (data: object) => {
      const id = crypto.randomUUID();
      const answer = await request.post('/api/runs', { data: { id, ...data } });
      expect(answer.ok(), await answer.text()).toBe(true);
      return done(id);
    };
    // The same core from the same inputs with the same draws: nothing moves. A stored figure that was another one is found, and stays as it is stored.
    const { rows } = await onDatabase(shop.ownerUrl, (c) =>
      c.query<{ id: string; axle: string }>(
        `UPDATE prediction SET core_version = '0.0.1', result = jsonb_set(result, '{prediction,sides,left,states,0,after}',
            to_jsonb((result #>> '{prediction,sides,left,states,0,after}')::float + 7))
          WHERE id = (SELECT id FROM prediction WHERE job_axle_id = $1 ORDER BY nth DESC LIMIT 1) RETURNING id, job_axle_id AS axle`,
        [idOf(DEMO.provenInside)],
      ),
    );
    await page.goto('/runs');
    await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
    const sent = page.waitForResponse((r) => r.url().endsWith('/api/runs') && r.ok());
    await page.getByRole('button', { name: 'Run it' }).click();
    const earlier = await done(((await (await sent).json()) as Run).batch.id);
    expect(earlier.lines).toHaveLength(1);
    expect(earlier.lines[0]).toMatchObject({
      verdict: 'moves',
      jobAxleId: rows[0]!.axle,
      of: rows[0]!.id,
      says: 'by core 0.0.1',
    });
    expect(earlier.lines[0]!.was! - earlier.lines[0]!.now!).toBeCloseTo(7, 3);
    await expect(page.getByRole('status', { name: 'Progress' })).toContainText('done');
    await expect(page.locator('[data-run-line=moves]')).toContainText('would be another');
    const all = await asked({ kind: 'again', which: 'all' });
    expect(all.counts.filter((c) => c.verdict === 'same')[0]!.lines).toBe(all.lines.length - 1);
    expect(all.lines.length).toBeGreaterThan(1);
    expect((await request.post('/api/runs', { data: { id: earlier.batch.id, kind: 'residuals' } })).status()).toBe(409);

    const papers = await asked({ kind: 'papers', what: 'torque', of: 'planned' });
    const file = await unzipped(await (await request.get(`/api/runs/${papers.batch.id}/files`)).body(), {
      entries: 99,
      bytes: 1e8,
      wanted: () => true,
    });
    expect([file.size, papers.files]).toEqual([papers.lines.length, papers.lines.length]);
    for (const body of file.values()) expect(body.subarray(0, 5).toString()).toBe('%PDF-');

    const studied = await asked({ kind: 'residuals' });
    expect(studied.lines.map((l) => l.jobAxleId)).toEqual(
      expect.arrayContaining([idOf(DEMO.provenInside), idOf(DEMO.provenOutside)]),
    );
    expect(
      studied.lines.every((l) => ['usual', 'likely', 'several', 'lookAgain'].includes(l.verdict) && l.now !== null),
    ).toBe(true);

    // A job that is here already and a file that is none are told, each by itself; one that is not here comes in whole.
    const bundle = await (await request.get(`/api${DEMO.begun}/bundle`)).body();
    await onDatabase(shop.ownerUrl, async (c) => {
      // As if the job had never been: all that hangs on it goes over to a shop that nobody sees.
      await c.query("INSERT INTO shop (id, name) VALUES ('00000000-0000-4000-8000-00000000aaaa', 'other')");
    });
    const run = crypto.randomUUID();
    const files: string[] = [];
    for (const [name, body] of [
      ['here.zip', bundle],
      ['none.zip', Buffer.from('no zip at all')],
    ] as const) {
      const id = crypto.randomUUID();
      const answer = await request.post(`/api/runs/files?run=${run}&file=${id}&name=${name}`, {
        data: body,
        headers: { 'content-type': 'application/zip' },
      });
      expect(answer.ok(), await answer.text()).toBe(true);
      files.push(id);
    }
    const importing = await request.post('/api/runs/bundles', { data: { id: run, files } });
    expect(importing.ok(), await importing.text()).toBe(true);
    const brought = await done(run);
    expect(brought.lines.map((l) => [l.verdict, l.says]).toSorted()).toEqual([
      ['refused', expect.stringMatching(/^here\.zip: this job is here already/)],
      ['refused', expect.stringMatching(/^none\.zip: /)],
    ]);
    const left = await onDatabase(shop.ownerUrl, (c) => c.query("SELECT FROM run_file WHERE way = 'in'"));
    expect(left.rowCount).toBe(0);

    // A piece that came to nothing after every try is told, and done when it is asked for again.
    await onDatabase(shop.ownerUrl, (c) =>
      c.query(
        "UPDATE batch_piece SET state = 'failed', problem = 'the disk was full', done_at = NULL WHERE shop_id = $1 AND batch_id = $2",
        [DEMO_SHOP, studied.batch.id],
      ),
    );
    await page.goto('/runs#nothing');
    await page.reload();
    await expect(page.getByRole('list', { name: 'Came to nothing' })).toContainText('the disk was full');
    await page.getByRole('list', { name: 'Came to nothing' }).getByRole('button').click();
    await page.getByRole('button', { name: 'Try them again' }).click();
    await done(studied.batch.id);
    await expect(page.getByRole('status', { name: 'Progress' })).toContainText('done');
    await openTab(page, 'runs so far');
    await expect(page.getByRole('list', { name: 'Runs so far' }).getByRole('listitem')).toHaveCount(5);
  } finally {
    if (child.pid !== undefined) process.kill(-child.pid, 'SIGKILL');
  }
});

test('a job of another shop comes in once, even where its worker died when it was all but done', async ({
  request,
  shop,
  playwright,
}) => {
  const bundle = await (await request.get(`/api${DEMO.begun}/bundle`)).body();
  const other = 'b0000000-0000-4000-8000-000000000009';
  await onDatabase(shop.ownerUrl, async (c) => {
    await c.query("INSERT INTO shop (id, name, word) VALUES ($1, 'Mudford Springs', 'mudford')", [other]);
    await c.query("INSERT INTO person (shop_id, id, name, role) VALUES ($1, $1, 'Wen Aldry', 'owner')", [other]);
    await c.query(
      `INSERT INTO session (shop_id, id, token_hash, person_id, ends_at) VALUES ($1, $1, sha256(convert_to('of-the-other', 'UTF8')), $1, now() + interval '1 day')`,
      [other],
    );
  });
  const cookies = [
    {
      name: 'gravelwort-session',
      value: 'of-the-other',
      domain: '127.0.0.1',
      path: '/',
      expires: -1,
      httpOnly: true,
      secure: false,
      sameSite: 'Lax' as const,
    },
  ];
  const there = await playwright.request.newContext({
    baseURL: shop.url,
    storageState: { cookies, origins: [] },
    extraHTTPHeaders: { origin: shop.url },
  });
  const [run, id] = [crypto.randomUUID(), crypto.randomUUID()];
  expect(
    (
      await there.post(`/api/runs/files?run=${run}&file=${id}&name=a.zip`, {
        data: bundle,
        headers: { 'content-type': 'application/zip' },
      })
    ).ok(),
  ).toBe(true);
  expect((await there.post('/api/runs/bundles', { data: { id: run, files: [id] } })).ok()).toBe(true);
  const [first, second] = [worker(shop), worker(shop)];
  try {
    const found = async () => (await (await there.get(`/api/runs/${run}`)).json()) as Run;
    await expect.poll(async () => (await found()).batch.done, { timeout: 60_000 }).toBe(1);
    expect((await found()).lines).toEqual([expect.objectContaining({ verdict: 'came', jobAxleId: idOf(DEMO.begun) })]);
    expect((await there.get(`/api${DEMO.begun}`)).ok()).toBe(true);
    // Nobody sees another shop's run.
    expect((await request.get(`/api/runs/${run}`)).status()).toBe(404);
  } finally {
    for (const child of [first, second]) if (child.pid !== undefined) process.kill(-child.pid, 'SIGKILL');
  }
});
