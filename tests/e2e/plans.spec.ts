import { Client } from 'pg';
import { type z } from 'zod';
import { shelfAskSchema } from '@/contracts/shelf';
import { BUNDLED } from '@/data/bundle';
import { type Tx } from '@/data/client';
import { board, PAGE } from '@/server/board';
import { loadJob } from '@/server/jobs';
import { historyOf } from '@/server/record';
import { shelfCount, shelfPage } from '@/server/shelf';
import { grownShop, manyShops } from '../reference/manyShops';
import { DEMO, expect, onDatabase, test } from './shop';

/** From so many rows on a table may not be read through for one shop; less fits a page or two, and is. */
const LARGE = 2000;
interface Node {
  'Node Type': string;
  'Relation Name'?: string;
  Plans?: Node[];
}
const scanned = (node: Node): string[] => [
  ...(node['Node Type'] === 'Seq Scan' ? [node['Relation Name'] ?? ''] : []),
  ...(node.Plans ?? []).flatMap(scanned),
];

test('among many shops the Board, search, a vehicle, a job and the Shelf are read through indexes, and none sees another’s', async ({
  shop,
}) => {
  test.setTimeout(240_000);
  const owner = new Client({ connectionString: shop.ownerUrl });
  await owner.connect();
  await manyShops(owner, { shops: 40, jobs: 2400 });
  await owner.query('VACUUM ANALYZE');
  const { rows: tables } = await owner.query<{ name: string }>(
    "SELECT relname AS name FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relkind = 'r' AND reltuples > $1",
    [LARGE],
  );
  const large = new Set(tables.map((t) => t.name));
  for (const name of ['job', 'job_axle', 'reading', 'load_state', 'search_line', 'shelf_dimension'])
    expect([name, large.has(name)]).toEqual([name, true]);
  const app = new Client({ connectionString: shop.appUrl });
  await app.connect();
  const read: [string, string[]][] = [];
  for (const k of [1, 20]) {
    const { shop: id, person } = await grownShop(owner, k);
    await app.query('BEGIN; SET LOCAL ROLE gravelwort_app');
    await app.query("SELECT set_config('gravelwort.shop', $1, true)", [id]);
    const tx: Tx = {
      ...{ shop: id, person },
      run: async (sql, values = []) => (await app.query(sql, values)).rowCount ?? 0,
      rows: async <S extends z.ZodType>(schema: S, sql: string, values: unknown[] = []) => {
        const plan = await app.query<{ 'QUERY PLAN': { Plan: Node }[] }>(`EXPLAIN (FORMAT JSON) ${sql}`, values);
        read.push([sql.replaceAll(/\s+/g, ' ').slice(0, 200), scanned(plan.rows[0]!['QUERY PLAN'][0]!.Plan)]);
        return (await app.query(sql, values)).rows.map((row) => schema.parse(row));
      },
    };
    const [one] = (
      await app.query<{ job: string; vehicle: string; name: string }>(
        `SELECT x.id AS job, a.vehicle_id AS vehicle, v.name FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
         JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id LIMIT 1`,
      )
    ).rows;
    const before = await owner.query<{ n: string }>(
      "SELECT seq_scan AS n FROM pg_stat_user_tables WHERE relname = 'search_line'",
    );
    const shown = await board(tx, { words: '', most: PAGE });
    expect(shown.rows.length).toBeGreaterThan(0);
    for (const words of [
      one!.name.split(' ').at(-1)!,
      'quarry road',
      `${one!.name.split(' ')[0]} behind`,
      'quary',
      'leaf 60x8',
      'zeppelin',
    ]) {
      const { rows } = await board(tx, { words, most: PAGE });
      const { rows: theirs } = await app.query('SELECT FROM job WHERE id = ANY ($1::uuid[])', [
        rows.map((r) => r.jobId),
      ]);
      expect(theirs.length).toBe(new Set(rows.map((r) => r.jobId)).size);
      if (words === 'zeppelin') expect(rows).toEqual([]);
      else if (!words.includes('60x8') && !words.includes('behind'))
        expect([words, rows.length > 0]).toEqual([words, true]);
    }
    expect((await historyOf(tx, one!.vehicle)).jobs.length).toBeGreaterThan(1);
    await loadJob(tx, one!.job);
    const ask = shelfAskSchema.parse({ words: 'leaf', within: [{ dimension: 'width', from: 55, to: 65 }] });
    expect((await shelfPage(tx, ask)).items.length).toBeGreaterThan(0);
    await shelfCount(tx, ask);
    await app.query('COMMIT');
    await owner.query('SELECT pg_stat_force_next_flush()');
    // What is searched inside the database's own function is not in the plans: it is seen by what was read through.
    const after = await owner.query<{ n: string }>(
      "SELECT seq_scan AS n FROM pg_stat_user_tables WHERE relname = 'search_line'",
    );
    expect(after.rows).toEqual(before.rows);
  }
  expect(read.length).toBeGreaterThan(30);
  expect(
    read.map(([sql, of]) => [sql, of.filter((name) => large.has(name))]).filter(([, of]) => of!.length > 0),
  ).toEqual([]);
  await app.end();
  await owner.end();
});

test('what is told of a job on the Board is told anew whenever anything of it is written, by whichever way', async ({
  shop,
  request,
}) => {
  const id = DEMO.provenOutside.split('/')[2]!;
  // Every table of a job, but what is written with another row of it, says that its job was stirred.
  const { rows } = await onDatabase(shop.ownerUrl, (c) =>
    c.query<{ table: string }>("SELECT tgrelid::regclass::text AS table FROM pg_trigger WHERE tgname = 'stir'"),
  );
  const without = BUNDLED.filter((table) => !rows.some((r) => r.table === table));
  expect(without).toEqual(['press_point', 'finding_value', 'ledger_line', 'outcome']);
  const told = async () => {
    await request.get('/');
    return onDatabase(
      shop.ownerUrl,
      async (c) =>
        (
          await c.query<{ items: string[]; seen: string }>(
            'SELECT items, seen::text FROM open_told WHERE job_axle_id = $1',
            [id],
          )
        ).rows[0]!,
    );
  };
  const first = await told();
  expect(first.items.length).toBeGreaterThan(0);
  expect(await told()).toEqual(first);
  const defect = await request.post(`/api${DEMO.provenOutside}/side-findings`, {
    data: { id: crypto.randomUUID(), what: 'hose chafed', urgency: 'soon', evidence: '' },
  });
  expect(defect.ok(), await defect.text()).toBe(true);
  const second = await told();
  expect(second.seen).not.toBe(first.seen);
  // Something that a transaction wrote which ended only after the Board had looked counts too.
  await onDatabase(shop.ownerUrl, async (late) => {
    await late.query('BEGIN');
    await late.query('UPDATE job SET version = version WHERE id = $1', [id]);
    const meanwhile = await told();
    await late.query('COMMIT');
    expect((await told()).seen).not.toBe(meanwhile.seen);
  });
});
