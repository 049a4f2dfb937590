import { request as plainRequest } from 'node:http';
import { type JobView } from '@/contracts/job';
import { COLUMNS } from '@/contracts/partsFile';
import { DEMO, expect, newJob, onDatabase, test } from './shop';
import { entriesOf, NOBODY, routes, sweep } from './sweep';

const JOB = `/api${DEMO.planned}`;
const uuid = () => crypto.randomUUID();

test('the same sent again is answered as the first time; another thing under the same id is refused and not stored', async ({
  request,
}) => {
  let stored = 0;
  const view = (await (await request.get(JOB)).json()) as JobView;
  for (const [path, body, other, method = 'POST'] of entriesOf(JOB, view)) {
    const send = (data: object) => request.fetch(path, { method, data });
    const id = uuid();
    const first = await send({ id, ...body });
    // An entry this job does not take now says so plainly, and is none to repeat.
    if (first.status() === 422) continue;
    expect([path, first.status(), first.ok() ? '' : await first.text()]).toEqual([path, 200, '']);
    expect((await send({ id, ...body })).status()).toBe(200);
    const second = await send({ id, ...body, ...other });
    expect([path, second.status()]).toEqual([path, 409]);
    stored += 1;
  }
  expect(stored).toBeGreaterThanOrEqual(11);
  const job = { ...newJob(), complaint: 'sits low' };
  for (const [complaint, status] of [
    ['sits low', 200],
    ['sits low', 200],
    ['leans', 409],
  ] as const)
    expect((await request.post('/api/jobs', { data: { ...job, complaint } })).status()).toBe(status);
  const run = { id: uuid(), side: 'left' };
  const points = [0, 1, 2].map((k) => ({ force: 1000 * k, archTop: 90 - 10 * k, branch: 'loading' }));
  for (const [last, status] of [
    [70, 200],
    [70, 200],
    [71, 409],
  ] as const) {
    const data = { ...run, points: points.map((p, k) => (k === 2 ? { ...p, archTop: last } : p)) };
    expect((await request.post(`${JOB}/press`, { data })).status()).toBe(status);
  }
  expect((await request.post(`/api/side-findings/${NOBODY}`, { data: { evidence: 'mended it' } })).status()).toBe(404);
  const tick = { id: uuid(), done: true, figures: '52', km: null, kmTyped: null };
  expect((await request.post(`/api/checks/${NOBODY}`, { data: tick })).status()).toBe(404);
});

test('what a clock said does not decide which word is the last: one that was put back is told, and a later answer counts', async ({
  page,
  request,
  shop,
}) => {
  const say = (answer: string) =>
    request.post(`${JOB}/safety`, { data: { id: uuid(), item: 'frameHeld', answer } }).then((r) => r.status());
  expect(await say('ok')).toBe(200);
  // As if it had been said by a clock that was three hours ahead.
  await onDatabase(shop.ownerUrl, (c) =>
    c.query(`UPDATE safety_answer SET answered_at = now() + interval '3 hours';
             UPDATE audit SET at = now() + interval '3 hours'`),
  );
  await page.goto('/');
  await expect(page.locator('.board-clock')).toContainText('it was put back, or was wrong before');
  expect(await say('notOk')).toBe(200);
  const { safety } = (await (await request.get(JOB)).json()) as JobView;
  expect(safety.find((s) => s.item === 'frameHeld')?.answer).toBe('notOk');
  await page.reload();
  await expect(page.locator('.board-clock')).toHaveCount(0);
});

test('loads are added and taken away without end; the state of the day takes none', async ({ request }) => {
  const view = async () => (await (await request.get(JOB)).json()) as JobView;
  const first = await view();
  const put = async (states: object[], version: number) =>
    request.put(`${JOB}/loads`, { data: { version, states, wanted: first.states.find((s) => s.wanted)!.id } });
  const { id, name, items } = first.states[1]!;
  const stays = { id, name, items };
  let { version } = first.job;
  for (let k = 0; k < 25; k++) {
    const more = { id: uuid(), name: `Load ${k}`, items };
    expect([k, (await put([stays, more], version)).status()]).toEqual([k, 200]);
    expect((await put([stays], version + 1)).status()).toBe(200);
    version += 2;
  }
  expect((await put([stays, { id: first.states[0]!.id, name: 'x', items }], version)).status()).toBe(400);
});

test('a job takes no more than any work asks for, and says so; what is there can still be changed', async ({
  request,
  shop,
}) => {
  const item = { id: uuid(), what: 'Cotter pin', wanted: 2, state: 'notInKit' };
  expect((await request.post(`${JOB}/kit`, { data: item })).status()).toBe(200);
  await onDatabase(shop.ownerUrl, (c) =>
    c.query(
      `INSERT INTO kit_item (shop_id, id, job_id, what, wanted, state, person_id)
       SELECT shop_id, gen_random_uuid(), job_id, 'Pin ' || n, 1, state, person_id
         FROM kit_item, generate_series(1, 499) n WHERE id = $1`,
      [item.id],
    ),
  );
  const more = await request.post(`${JOB}/kit`, { data: { ...item, id: uuid() } });
  expect([more.status(), await more.json()]).toMatchObject([422, { code: 'full' }]);
  expect((await request.post(`${JOB}/kit`, { data: { ...item, state: 'there' } })).status()).toBe(200);
});

test('nonsense is told as the sender’s fault, whatever the route: nothing of it is a fault of the server', async ({
  request,
}) => {
  const faults: string[] = [];
  let sent = 0;
  expect(routes().length).toBeGreaterThan(40);
  const view = (await (await request.get(JOB)).json()) as JobView;
  // `npm run bench:sweep` asks twenty thousand.
  for (const { method, path, data } of sweep(JOB, view, 1500, 15)) {
    const answer = await request.fetch(path, {
      method,
      ...(data !== undefined && { data: JSON.stringify(data), headers: { 'Content-Type': 'application/json' } }),
    });
    sent += 1;
    if (answer.status() >= 500)
      faults.push(`${method} ${path} ${JSON.stringify(data)?.slice(0, 120)}: ${answer.status()}`);
  }
  expect(faults).toEqual([]);
  expect(sent).toBe(1500);
});

test('methods nobody serves and addresses that cannot be read are no faults of the server either', async ({ shop }) => {
  const status = (method: string, path: string) =>
    new Promise<number>((resolve, reject) => {
      const sent = plainRequest({ host: '127.0.0.1', port: shop.port, method, path }, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      });
      sent.on('error', reject);
      sent.end();
    });
  for (const [method, path] of [
    ['PUT', '/'],
    ['GET', '/jobs/%E0%A4%A/measure'],
    ['GET', '/api/jobs/%00'],
    ['GET', `/${'a/'.repeat(3000)}`],
    ['GET', '/nothing/here'],
  ] as const) {
    const code = await status(method, path);
    expect([method, path.slice(0, 30), code < 500]).toEqual([method, path.slice(0, 30), true]);
  }
});

test('a file made to choke the reader is refused at once while others are served; the shelf goes out whole, however long', async ({
  request,
  shop,
}) => {
  const send = (data: string) =>
    request.post('/api/shelf/file?apply=no', { data, headers: { 'Content-Type': 'text/csv' } });
  for (const bomb of ['a\n'.repeat(7_000_000), ','.repeat(14_500_000), `kind,name\n"${'x'.repeat(14_000_000)}`]) {
    const from = Date.now();
    const refused = send(bomb);
    const page = await request.get('/api/jobs/nonsense');
    expect(page.status()).toBe(404);
    const { problems } = (await (await refused).json()) as { problems: unknown[] };
    expect(problems).toHaveLength(1);
    // They took from one to nine minutes.
    expect(Date.now() - from).toBeLessThan(30_000);
  }
  expect((await send('x'.repeat(15_000_001))).status()).toBe(413);
  await onDatabase(shop.ownerUrl, (c) =>
    c.query(
      `INSERT INTO shelf_item (shop_id, id, kind, name, maker, number, holding, condition, origin, place, note, retired, updated_by)
       SELECT shop_id, gen_random_uuid(), kind, name || n, maker, number || n, 'catalogue', condition, origin, place, note, false, updated_by
         FROM generate_series(1, 61000) n, (SELECT * FROM shelf_item WHERE kind = 'stop' LIMIT 1) one`,
    ),
  );
  // It comes piece by piece; all of it takes its time on a busy machine.
  const path = `/api/shelf/file?ask=${encodeURIComponent('{"kind":"stop"}')}`;
  const whole = await (await request.get(path, { timeout: 150_000 })).text();
  const lines = whole.split('\n');
  expect(lines[0]).toBe(COLUMNS.join(','));
  const { rows } = await onDatabase(shop.ownerUrl, (c) =>
    c.query<{ count: string }>(`SELECT count(*) FROM shelf_item WHERE kind = 'stop' AND NOT retired`),
  );
  expect(lines.length - 1).toBe(Number(rows[0]!.count));
  expect(new Set(lines).size).toBe(lines.length);
});

test('a page runs its own scripts and no other: what is slipped in does nothing, and nothing of its own is held up', async ({
  page,
}) => {
  const broken: string[] = [];
  await page.exposeFunction('tell', (what: string) => broken.push(what));
  await page.addInitScript(() =>
    document.addEventListener('securitypolicyviolation', (event) => {
      (window as unknown as { tell: (what: string) => void }).tell(`${event.violatedDirective} ${event.blockedURI}`);
    }),
  );
  for (const path of [
    '/',
    '/handbook',
    '/shelf',
    '/bench',
    '/guide',
    ...['ask', 'measure', 'choose', 'check'].map((s) => `${DEMO.planned}/${s}`),
  ]) {
    const answer = await page.goto(path);
    const policy = answer!.headers()['content-security-policy'] ?? '';
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+';/);
    await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  }
  // The solver's thread answers under it too.
  await expect(page.locator('p.check-verdict')).not.toBeEmpty();
  // The schema library tries once whether text may be evaluated, and does without where it may not.
  const held = (how?: string) => broken.filter((what) => (how ? what.endsWith(how) : !what.endsWith(' eval')));
  expect(held()).toEqual([]);
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'window.slipped = 1';
    document.head.append(script);
    const link = document.createElement('a');
    link.setAttribute('onclick', 'window.slipped = 2');
    document.body.append(link);
    link.click();
  });
  expect(await page.evaluate(() => (window as { slipped?: number }).slipped)).toBeUndefined();
  await expect.poll(() => held(' inline').length).toBeGreaterThanOrEqual(2);
});
