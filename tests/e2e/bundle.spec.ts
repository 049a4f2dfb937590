import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { type APIRequestContext } from '@playwright/test';
import sharp from 'sharp';
import { BUNDLED, STAYS_BEHIND } from '@/data/bundle';
import { unzipped, zipped } from '@/server/files/zip';
import { expect, onDatabase, SIGNED_IN, test, type Shop } from './shop';

const JOB = '5a1e0001-0000-4000-8000-000000000f00';
const OTHER_SHOP = 'b0000000-0000-4000-8000-000000000001';
const TOKEN = 'a-session-of-the-other-shop';

type Records = Record<string, Record<string, unknown>[]>;
interface Bundle {
  version: number;
  schema: number;
  people: { ref: string; name: string; shop: string }[];
  records: Records;
}
const ALL = { entries: 1000, bytes: 1e9, wanted: () => true };
const pack = (files: ReadonlyMap<string, Buffer>) =>
  zipped([...files].map(([name, body]) => ({ name, body, compress: !name.endsWith('.jpg') })));

/** A second shop with an owner, and what she calls with. */
async function otherShop(
  shop: Shop,
  newContext: (o: object) => Promise<APIRequestContext>,
): Promise<APIRequestContext> {
  await onDatabase(shop.ownerUrl, async (c) => {
    await c.query("INSERT INTO shop (id, name, word) VALUES ($1, 'Mudford Springs', 'mudford')", [OTHER_SHOP]);
    await c.query("INSERT INTO person (shop_id, id, name, role) VALUES ($1, $1, 'Wen Aldry', 'owner')", [OTHER_SHOP]);
    await c.query(
      `INSERT INTO session (shop_id, id, token_hash, person_id, ends_at)
       VALUES ($1, $1, sha256(convert_to($2, 'UTF8')), $1, now() + interval '1 day')`,
      [OTHER_SHOP, TOKEN],
    );
  });
  const cookies = SIGNED_IN.cookies.map((cookie) => ({ ...cookie, value: TOKEN }));
  return newContext({
    ...{ baseURL: shop.url, storageState: { cookies, origins: [] }, extraHTTPHeaders: { origin: shop.url } },
  });
}
const countsOf = (shop: Shop, id: string) =>
  onDatabase(shop.ownerUrl, async (c) => {
    const counts: Record<string, number> = {};
    for (const table of [...BUNDLED, 'person'])
      counts[table] = Number((await c.query(`SELECT count(*) FROM ${table} WHERE shop_id = $1`, [id])).rows[0]!.count);
    return counts;
  });

test('a job goes to another shop whole and comes out of it the same to the byte; who wrote it stays told', async ({
  page,
  request,
  playwright,
  shop,
}) => {
  const picture = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#7a6a58' } })
    .jpeg()
    .toBuffer();
  const form = {
    id: crypto.randomUUID(),
    subject: 'rule:frame',
    caption: 'rail',
    file: { name: 'a.jpg', mimeType: 'image/jpeg', buffer: picture },
  };
  expect((await request.post(`/api/jobs/${JOB}/photos`, { multipart: form })).status()).toBe(200);
  await page.goto(`/jobs/${JOB}/prove#hand`);
  await expect(page.getByRole('link', { name: 'the whole job, with pictures' })).toHaveAttribute(
    'href',
    `/api/jobs/${JOB}/bundle`,
  );
  const left = await (await request.get(`/api/jobs/${JOB}/bundle`)).body();
  const files = await unzipped(left, ALL);
  const bundle = JSON.parse(files.get('job.json')!.toString()) as Bundle;
  expect(files.size).toBe(2);
  // Nothing of the shop itself and nothing private goes along.
  expect(/shop_id|"token|"hash"|"phone"|Mudford/.test(JSON.stringify(bundle))).toBe(false);
  const there = await otherShop(shop, (o) => playwright.request.newContext(o));
  expect((await there.get(`/api/jobs/${JOB}`)).status()).toBe(404);
  const came = await there.post('/api/bundles', { data: left, headers: { 'content-type': 'application/zip' } });
  expect(await came.json()).toMatchObject({ jobId: JOB, pictures: 1, vehicleKnown: false });
  expect(Buffer.compare(left, await (await there.get(`/api/jobs/${JOB}/bundle`)).body())).toBe(0);
  const view = JSON.stringify(await (await there.get(`/api/jobs/${JOB}`)).json());
  expect(view).toContain('(Skerrow Harbour Cooperative (demo))');
  const before = await countsOf(shop, OTHER_SHOP);
  for (const [table, rows] of Object.entries(bundle.records)) expect(before[table], table).toBe(rows.length);
  // The same job twice is refused; the command says so in the same words.
  const again = await there.post('/api/bundles', { data: left, headers: { 'content-type': 'application/zip' } });
  expect(again.status()).toBe(409);
  expect(JSON.stringify(await again.json())).toContain('this job is here already');
  expect(await countsOf(shop, OTHER_SHOP)).toEqual(before);
  // Whoever wrote it elsewhere is nobody who could come in here.
  expect(JSON.stringify(await (await there.get('/')).text())).not.toContain('Sign in as Tibb');
  await there.dispose();
});

test('a damaged, newer or hostile bundle changes nothing and says why; the command and the published schema go with it', async ({
  request,
  playwright,
  shop,
}, info) => {
  const left = await (await request.get(`/api/jobs/${JOB}/bundle`)).body();
  const files = await unzipped(left, ALL);
  const there = await otherShop(shop, (o) => playwright.request.newContext(o));
  const before = await countsOf(shop, OTHER_SHOP);
  const changed = (change: (bundle: Bundle) => void): Promise<Buffer> => {
    const bundle = JSON.parse(files.get('job.json')!.toString()) as Bundle;
    change(bundle);
    return pack(new Map([['job.json', Buffer.from(JSON.stringify(bundle))]]));
  };
  const beside = (name: string, body: Buffer) => pack(new Map([...files, [name, body]]));
  const traversing = await beside('pictures/aa/../../x.jpg'.replaceAll('/', '_'), Buffer.from('x'));
  // The writer refuses such a name; in the bytes of the file it can stand all the same.
  const path = Buffer.from(
    traversing.toString('latin1').replaceAll('pictures_aa_.._.._x.jpg', '../../../pictures/x.jpg'),
    'latin1',
  );
  const cases: [string, Buffer, RegExp][] = [
    ['no zip', Buffer.from('hello'), /signature|not a zip/i],
    ['cut off', left.subarray(0, left.length - 40), /signature|truncated|not a zip/i],
    ['a path out of it', path, /not taken in/],
    ['a file that does not belong', await beside('run.sh', Buffer.from('rm')), /does not belong/],
    ['a bomb', await pack(new Map([['job.json', Buffer.alloc(40_000_000, 32)]])), /too large/],
    ['no records', await pack(new Map([['pictures/x.jpg', Buffer.from('x')]])), /does not belong|no job.json/],
    ['no JSON', await pack(new Map([['job.json', Buffer.from('{')]])), /no job bundle/],
    [
      'a picture no record names',
      await beside(
        `pictures/${JOB}.jpg`,
        await sharp({ create: { width: 9, height: 9, channels: 3, background: '#000' } })
          .jpeg()
          .toBuffer(),
      ),
      /no record names/,
    ],
    ['no picture at all', await beside(`pictures/${JOB}.jpg`, Buffer.from('<svg/>')), /cannot be read as one/],
    ['a newer release', await changed((b) => void (b.schema = 9999)), /newer release/],
    ['an unknown column', await changed((b) => void (b.records.job![0]!.surprise = 1)), /records\.job\.0/],
    ['an unknown table', await changed((b) => void (b.records.credential = [])), /credential/],
    [
      'a text beside another value',
      await changed((b) => void (b.records.reading![0]!.value = 12_345)),
      /records\.reading\.0\.typed.*do not agree/,
    ],
    ['somebody nobody knows', await changed((b) => void (b.records.reading![0]!.person_id = 'p999')), /p999/],
    [
      'a value no tape reads',
      await changed((b) => void (b.records.settling_height![0]!.km = -5)),
      /do not agree|hold together/,
    ],
    [
      'a row of another job',
      await changed((b) => void (b.records.plan![0]!.job_axle_id = '5a1e0002-0000-4000-8000-000000000f00')),
      /hold together/,
    ],
    [
      'a prediction of no kind',
      await changed((b) => void (b.records.prediction![0]!.inputs = { schemaVersion: 2, kind: 'no such' })),
      /could not be shown/,
    ],
    [
      'two jobs',
      await changed((b) => void b.records.job!.push({ ...b.records.job![0]!, id: crypto.randomUUID() })),
      /one job of one vehicle/,
    ],
    [
      'another vehicle’s axle',
      await changed((b) => void (b.records.axle![0]!.vehicle_id = crypto.randomUUID())),
      /another vehicle/,
    ],
    ['a name that turns what is read', await changed((b) => void (b.people[0]!.name = 'Ann\u202E')), /nobody types/],
  ];
  for (const [what, data, words] of cases) {
    const answer = await there.post('/api/bundles', { data, headers: { 'content-type': 'application/zip' } });
    const text = await answer.text();
    expect([400, 409, 413], `${what}: ${text}`).toContain(answer.status());
    expect(text, what).toMatch(words);
  }
  expect(await countsOf(shop, OTHER_SHOP)).toEqual(before);
  // Nobody comes in from elsewhere or without a session, however large it is.
  const large = Buffer.alloc(20_000_000);
  const bare = (headers: Record<string, string>) =>
    fetch(`${shop.url}/api/bundles`, { method: 'POST', body: large, headers }).then((r) => r.status);
  expect(await bare({ origin: 'http://elsewhere.example' })).toBe(403);
  expect(await bare({ origin: shop.url })).toBe(401);

  // Thirty pictures of a phone are more than the door of the other routes holds.
  const noise = await Promise.all(
    Array.from({ length: 30 }, async () => {
      const raw = { width: 1200, height: 900, channels: 3 as const };
      const body = await sharp(randomBytes(1200 * 900 * 3), { raw })
        .jpeg({ quality: 80 })
        .toBuffer();
      return { id: crypto.randomUUID(), body, sha256: createHash('sha256').update(body).digest('hex') };
    }),
  );
  const many = JSON.parse(files.get('job.json')!.toString()) as Bundle;
  many.records.photo = noise.map(({ id, sha256 }) => ({
    ...{ id, sha256, job_axle_id: JOB, subject: 'rule:frame', caption: '', width: 1200, height: 900 },
    ...{ person_id: 'p1', taken_at: '2026-11-30T08:00:00+00:00' },
  }));
  const heavy = await pack(
    new Map([
      ['job.json', Buffer.from(JSON.stringify(many))],
      ...noise.map(({ id, body }): [string, Buffer] => [`pictures/${id}.jpg`, body]),
    ]),
  );
  expect(heavy.length).toBeGreaterThan(17_500_000);
  const took = await there.post('/api/bundles', { data: heavy, headers: { 'content-type': 'application/zip' } });
  expect(await took.json()).toMatchObject({ pictures: 30 });
  await there.dispose();

  const run = (...args: string[]) => {
    const env = { ...process.env, APP_DATABASE_URL: shop.appUrl };
    const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', ['scripts/bundle.ts', ...args], {
      env,
      encoding: 'utf8',
    });
    return { status, stdout, said: stdout + stderr };
  };
  const file = info.outputPath('job.zip');
  expect(run('export', JOB, file, '--shop', 'demo').status).toBe(0);
  expect(Buffer.compare(readFileSync(file), left)).toBe(0);
  expect(run('import', file, '--shop', 'mudford').said).toContain('this job is here already');
  // Every column is told in the published schema, and every table goes along or stays behind for a reason.
  expect(JSON.parse(run('schema').stdout)).toEqual(JSON.parse(readFileSync('docs/job-bundle.schema.json', 'utf8')));
  const tables = await onDatabase(shop.ownerUrl, (c) =>
    c.query<{ name: string }>("SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public'"),
  );
  expect(tables.rows.map(({ name }) => name).toSorted()).toEqual([...BUNDLED, ...Object.keys(STAYS_BEHIND)].toSorted());
});
