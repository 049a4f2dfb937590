import { spawn, spawnSync } from 'node:child_process';
import { createHmac } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { type AddressInfo } from 'node:net';
import { z } from 'zod';
import { hookWordSchema, OPERATIONS, type Operation } from '@/contracts/program';
import { DEMO_SHOP } from '../../demo/ids';
import { DEMO, expect, onDatabase, test } from './shop';

const ID = DEMO.planned.split('/')[2]!;
/** Without this a call would bring the session that every test has. */
const NOBODY = { cookies: [], origins: [] };
const documentSchema = z.object({
  paths: z.record(
    z.string(),
    z.record(
      z.string(),
      z.object({
        responses: z.object({
          200: z.object({
            content: z.object({ 'application/json': z.object({ schema: z.record(z.string(), z.unknown()) }) }),
          }),
        }),
      }),
    ),
  ),
});

test('programs read and write by a token that may only what it was allowed; every example of the page runs and answers as the document says', async ({
  page,
  playwright,
  request,
  shop,
}) => {
  await page.goto('/shop');
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.getByLabel('What the program is').fill('Counter screen');
  for (const scope of ['write readings', 'read the shelf', 'read checks and be told of them'])
    await page.getByRole('group', { name: 'What it may' }).getByRole('button', { name: scope }).click();
  await page.getByRole('button', { name: 'Make a token' }).click();
  const said = page.getByRole('status').filter({ hasText: 'shown once' });
  await expect(said).toContainText('Give the program this token');
  const token = (await said.locator('.figure').textContent())!;
  await onDatabase(shop.ownerUrl, async (c) => {
    const { rows } = await c.query<{ all: string }>('SELECT row_to_json(t)::text AS all FROM program_token t');
    expect(rows[0]!.all).not.toContain(token);
  });

  const stranger = await playwright.request.newContext({ baseURL: shop.url, storageState: NOBODY });
  const document = documentSchema.parse(await (await stranger.get('/api/v1/openapi.json')).json());
  const listed = Object.values<Operation>(OPERATIONS).map((o) => `${o.method.toLowerCase()} ${o.path}`);
  expect(
    Object.entries(document.paths)
      .flatMap(([path, of]) => Object.keys(of).map((method) => `${method} ${path}`))
      .toSorted(),
  ).toEqual(listed.toSorted());

  const examples = [...readFileSync('docs/api.md', 'utf8').matchAll(/```sh\n([\s\S]*?)```/g)].map((m) => m[1]!);
  expect(examples).toHaveLength(listed.length);
  const ran = new Set<string>();
  for (const example of examples) {
    const { status, stdout, stderr } = spawnSync('bash', ['-c', example], {
      encoding: 'utf8',
      env: { ...process.env, URL: shop.url, TOKEN: token, ID },
    });
    expect(status, `${example}${stderr}${stdout}`).toBe(0);
    const method = example.includes('-X POST') ? 'post' : 'get';
    const path = /api\/v1([^"?]*)/.exec(example)![1]!.replace('$ID', '{id}');
    ran.add(`${method} ${path}`);
    // Held against the document itself, not against what it was made of.
    const { schema } = document.paths[path]![method]!.responses[200].content['application/json'];
    z.fromJSONSchema(schema).parse(JSON.parse(stdout));
  }
  expect([...ran].toSorted()).toEqual(listed.toSorted());
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as {
    readings: { point: string; value: number }[];
  };
  expect(view.readings.find((r) => r.point === 'tyreRate')?.value).toBe(310);

  const by = (bearer: string) =>
    playwright.request.newContext({
      baseURL: shop.url,
      storageState: NOBODY,
      extraHTTPHeaders: { authorization: `Bearer ${bearer}` },
    });
  const program = await by(token);
  const [pages, seen] = [await program.get('/api/v1/jobs?most=3'), new Set<string>()];
  for (let { jobs, next } = (await pages.json()) as { jobs: { id: string }[]; next: string | null }; ;) {
    for (const { id } of jobs) seen.add(id);
    if (next === null) break;
    ({ jobs, next } = (await (await program.get(`/api/v1/jobs?most=3&after=${next}`)).json()) as {
      jobs: { id: string }[];
      next: string | null;
    });
  }
  const { rows } = await onDatabase(shop.ownerUrl, (c) => c.query('SELECT FROM job WHERE shop_id = $1', [DEMO_SHOP]));
  expect(seen.size).toBe(rows.length);
  // What a token may not, what it is not, and what it says that cannot be.
  const status = async (path: string, calls = program) => (await calls.get(path)).status();
  for (const { method, path } of Object.values<Operation>(OPERATIONS))
    for (const calls of [stranger, request]) {
      const answer = await calls.fetch(`/api/v1${path.replace('{id}', ID)}`, {
        method,
        ...(method === 'POST' && { data: {} }),
      });
      expect([path, [401, 403].includes(answer.status())]).toEqual([path, true]);
    }
  expect(await status('/api/v1/jobs', await by('x'.repeat(43)))).toBe(401);
  expect(await status('/api/v1/jobs?after=nonsense')).toBe(400);
  expect(await status('/api/v1/jobs/5a1e0099-0000-4000-8000-000000000f00')).toBe(404);
  expect(await status('/api/shop')).not.toBe(200);
  expect(await status(`/api${DEMO.planned}`)).toBe(401);
  const wrong = await program.post(`/api/v1/jobs/${ID}/readings`, { data: { point: 'nonsense' } });
  expect([wrong.status(), ((await wrong.json()) as { field: string }).field]).toEqual([400, 'id']);
  await onDatabase(shop.ownerUrl, (c) => c.query("UPDATE program_token SET scopes = '{read-shelf}'"));
  expect([await status('/api/v1/shelf'), await status('/api/v1/jobs')]).toEqual([200, 403]);
  const audit = await onDatabase(shop.ownerUrl, (c) =>
    c.query("SELECT FROM audit WHERE what LIKE 'by the program “Counter screen”%'"),
  );
  expect(audit.rowCount).toBe(2);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Counter screen' })
    .getByRole('button', { name: 'Take it back' })
    .click();
  await expect(page.getByText('None has a token.')).toBeVisible();
  expect(await status('/api/v1/shelf')).toBe(401);
});

test('an address is told of every check that falls due, once, signed, and again until it hears; what it never hears stands on the shop’s page', async ({
  page,
  request,
  shop,
}) => {
  test.setTimeout(120_000);
  const heard: { id: string; check: string; signature: string; body: string }[] = [];
  let deaf = 1;
  const receiver = createServer((from, to) => {
    let body = '';
    from.on('data', (d: Buffer) => (body += d.toString()));
    from.on('end', () => {
      if (deaf-- > 0) return void to.writeHead(500).end();
      const word = hookWordSchema.parse(JSON.parse(body));
      heard.push({
        id: word.id,
        check: word.check.id,
        signature: String(from.headers['x-gravelwort-signature']),
        body,
      });
      to.writeHead(204).end();
    });
  }).listen(0, '127.0.0.1');
  await once(receiver, 'listening');
  const url = `http://127.0.0.1:${(receiver.address() as AddressInfo).port}/checks`;
  const made = await request.post('/api/hooks', { data: { id: crypto.randomUUID(), url } });
  expect(made.ok(), await made.text()).toBe(true);
  const { secret } = (await made.json()) as { secret: string };
  const due = await onDatabase(shop.ownerUrl, async (c) => {
    await c.query('UPDATE due_check SET due_on = current_date + 30, passed = false WHERE open');
    const { rows } = await c.query<{ id: string }>(
      'UPDATE due_check SET due_on = current_date WHERE id IN (SELECT id FROM due_check WHERE open LIMIT 2) RETURNING id',
    );
    return rows.map((r) => r.id).toSorted();
  });
  expect(due).toHaveLength(2);
  const run = (near: string) =>
    spawn('node_modules/.bin/tsx', ['scripts/worker.ts'], {
      env: {
        ...process.env,
        APP_DATABASE_URL: shop.appUrl,
        GRAVELWORT_HOOKS_EVERY_MS: '700',
        GRAVELWORT_HOOKS_NEAR: near,
      },
      stdio: 'ignore',
      detached: true,
    });
  const end = (child: ReturnType<typeof run>) => child.pid !== undefined && process.kill(-child.pid, 'SIGKILL');
  const two = [run('yes'), run('yes')];
  try {
    await expect.poll(() => heard.map((h) => h.check).toSorted(), { timeout: 60_000 }).toEqual(due);
    for (const { body, signature } of heard)
      expect(signature).toBe(`sha256=${createHmac('sha256', secret).update(body).digest('hex')}`);
    await page.waitForTimeout(3000);
    expect(heard).toHaveLength(2);
  } finally {
    two.forEach(end);
  }
  // Without leave nothing is said to this machine; it is told why.
  await onDatabase(shop.ownerUrl, (c) =>
    c.query(
      'UPDATE due_check SET due_on = current_date WHERE id IN (SELECT id FROM due_check WHERE open AND due_on > current_date LIMIT 1)',
    ),
  );
  const third = run('no');
  try {
    await page.goto('/shop');
    await expect
      .poll(
        async () => {
          await page.reload();
          return page.getByRole('listitem').filter({ hasText: '/checks' }).textContent();
        },
        { timeout: 60_000 },
      )
      .toContain('network of the inside');
    expect(heard).toHaveLength(2);
  } finally {
    end(third);
    receiver.close();
  }
});
