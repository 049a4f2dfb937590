// npm run bench:shops -- 1000 1000000: how long the Board, search, a vehicle, the Shelf and what a shop has learnt take among so many shops and jobs. Prints figures,
// tests nothing. A third word “parts” compares one table of readings with one parted by shop. Run through scripts/bench-db.sh.
import { performance } from 'node:perf_hooks';
import { Client } from 'pg';
import { shelfAskSchema } from '@/contracts/shelf';
import { closePool, withShop, type Tx } from '@/data/client';
import { board, PAGE } from '@/server/board';
import { loadJob } from '@/server/jobs';
import { historyOf, recordOfShop } from '@/server/record';
import { shelfCount, shelfPage } from '@/server/shelf';
import { grownShop, manyShops } from '../tests/reference/manyShops';

const SHOPS = Number(process.argv[2] ?? 1000);
const JOBS = Number(process.argv[3] ?? 1_000_000);
const PARTS = process.argv[4] === 'parts';
/** Share of all jobs that one shop has. */
const largest = Number(process.env.GRAVELWORT_LARGEST ?? 0.05);
const RUNS = Number(process.env.GRAVELWORT_RUNS ?? 200);
const connect = async () => {
  const client = new Client({ connectionString: process.env.OWNER_DATABASE_URL });
  await client.connect();
  await client.query("SET maintenance_work_mem = '1GB'; SET work_mem = '64MB'; SET synchronous_commit = off");
  return client;
};
const owner = await connect();
const other = await connect();
const seconds = async (name: string, fn: () => Promise<unknown>) => {
  const since = performance.now();
  await fn();
  console.log(`${name.padEnd(58)} ${((performance.now() - since) / 1000).toFixed(1).padStart(7)} s`);
};
const one = async <T>(sql: string) => (await owner.query(sql)).rows[0] as T;

// A database that was left up has them already.
if ((await one<{ n: number }>('SELECT count(*)::int AS n FROM shop')).n < 3) await grow();
await other.end();
await seconds('all of it cleaned and counted (VACUUM ANALYZE)', () => owner.query('VACUUM ANALYZE'));
const size = await one<{ all: string; readings: string; jobs: string; n: string; lines: string }>(
  `SELECT pg_size_pretty(pg_database_size(current_database())) AS all, pg_size_pretty(pg_total_relation_size('reading')) AS readings,
          (SELECT count(*) FROM reading)::text AS n, (SELECT count(*) FROM job)::text AS jobs, (SELECT count(*) FROM search_line)::text AS lines`,
);
console.log(
  `${size.jobs} jobs, ${size.n} readings (${size.readings} with indexes), ${size.lines} lines to search, ${size.all} in all`,
);

async function grow(): Promise<void> {
  // Rules and triggers are those of the program's own writing; so many rows go in without them, and what is searched for is written down at the end.
  for (const client of [owner, other]) await client.query("SET session_replication_role = 'replica'");
  const indexes = (
    await owner.query<{ name: string; def: string }>(
      `SELECT i.indexrelid::regclass::text AS name, pg_get_indexdef(i.indexrelid) AS def FROM pg_index i JOIN pg_class c ON c.oid = i.indrelid
      WHERE c.relnamespace = 'public'::regnamespace AND NOT i.indisprimary
        AND NOT EXISTS (SELECT FROM pg_constraint k WHERE k.conindid = i.indexrelid)`,
    )
  ).rows;
  await owner.query(`DROP INDEX ${indexes.map((i) => i.name).join(', ')}`);
  await owner.query('TRUNCATE search_line');
  await seconds(`${SHOPS} shops, ${JOBS} jobs written`, () =>
    Promise.all([
      manyShops(owner, { shops: SHOPS, jobs: JOBS, largest }, 0),
      manyShops(other, { shops: SHOPS, jobs: JOBS, largest }, 1),
    ]),
  );
  await seconds('what is searched for written down', () =>
    owner.query(`INSERT INTO search_line (shop_id, subject, id, job_id, vehicle_id, at, says)
    SELECT shop_id, subject, id, job_id, vehicle_id, at, says FROM search_source WHERE says <> ''`),
  );
  const halves = [indexes.filter((_, k) => k % 2 === 0), indexes.filter((_, k) => k % 2 === 1)];
  await seconds(`${indexes.length} indexes made`, () =>
    Promise.all(
      [owner, other].map(async (c, h) => {
        for (const { def } of halves[h]!) await c.query(def);
      }),
    ),
  );
}

/** Who asks: shops by chance, a vehicle and a job of each. */
async function asker(k: number) {
  const who = await grownShop(owner, k);
  const of = await one<{ vehicle: string; job: string; number: string; name: string }>(
    `SELECT a.vehicle_id AS vehicle, x.id AS job, v.name, split_part(v.name, ' ', array_length(string_to_array(v.name, ' '), 1)) AS number
       FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE x.shop_id = '${who.shop}' ORDER BY x.id LIMIT 1`,
  );
  return { ...who, ...of };
}
type Asker = Awaited<ReturnType<typeof asker>>;
const all = shelfAskSchema.parse({});
const CASES: Record<string, (tx: Tx, of: Asker) => Promise<unknown>> = {
  'the Board': (tx) => board(tx, { words: '', most: PAGE }),
  'search: a vehicle by its number': (tx, of) => board(tx, { words: of.number, most: PAGE }),
  'search: words of many jobs': (tx) => board(tx, { words: 'quarry road', most: PAGE }),
  'search: a slip of the pen': (tx) => board(tx, { words: 'tiper quary', most: PAGE }),
  'search: a size': (tx) => board(tx, { words: 'leaf 60x8', most: PAGE }),
  'search: nothing': (tx) => board(tx, { words: 'zeppelin', most: PAGE }),
  'a vehicle with its history': (tx, of) => historyOf(tx, of.vehicle),
  'a job’s page': (tx, of) => loadJob(tx, of.job),
  'the Shelf': (tx) => shelfPage(tx, all),
  'the Shelf by words and size, counted': async (tx) => {
    const ask = shelfAskSchema.parse({ words: 'leaf', within: [{ dimension: 'width', from: 55, to: 65 }] });
    await shelfPage(tx, ask);
    return shelfCount(tx, ask);
  },
  'what the shop has open and has learnt': (tx) => recordOfShop(tx),
};
const askers = { 'any shop': [] as Asker[], 'the largest shop': [await asker(1)] };
for (let n = 0; n < 40; n++) askers['any shop'].push(await asker(2 + ((n * 7919) % (SHOPS - 1))));
for (const [group, of] of Object.entries(askers)) {
  console.log(
    `\n${group}, ms; first: of each shop the first time; then ${RUNS} runs:`.padEnd(70),
    ' first      p50      p95',
  );
  for (const [name, work] of Object.entries(CASES)) {
    const timed = async (who: Asker) => {
      const since = performance.now();
      await withShop(who.shop, who.person, (tx) => work(tx, who));
      return performance.now() - since;
    };
    const sorted = async (runs: readonly Asker[]) => {
      const times: number[] = [];
      for (const who of runs) times.push(await timed(who));
      return times.sort((a, b) => a - b);
    };
    const first = await sorted(of);
    const times = await sorted(Array.from({ length: RUNS }, (_, n) => of[n % of.length]!));
    const cell = (ms: number) => ms.toFixed(1).padStart(8);
    console.log(
      `${name.padEnd(68)} ${cell(first[Math.floor(first.length / 2)]!)} ${cell(times[RUNS / 2]!)} ${cell(times[Math.floor(RUNS * 0.95)]!)}`,
    );
  }
}

/** The same readings in one table and in sixteen by shop: what it does to reading, writing and cleaning. */
if (PARTS) {
  console.log('\nreadings parted by shop');
  const columns = (
    await one<{ c: string }>(
      `SELECT string_agg(column_name, ', ' ORDER BY ordinal_position) AS c FROM information_schema.columns WHERE table_schema = 'public' AND table_name = 'reading'`,
    )
  ).c;
  await owner.query(`CREATE TABLE parted (LIKE reading INCLUDING DEFAULTS) PARTITION BY HASH (shop_id)`);
  for (let n = 0; n < 16; n++)
    await owner.query(`CREATE TABLE parted_${n} PARTITION OF parted FOR VALUES WITH (MODULUS 16, REMAINDER ${n})`);
  await owner.query('CREATE TABLE whole (LIKE reading INCLUDING DEFAULTS)');
  for (const table of ['whole', 'parted']) {
    await seconds(`${table}: written`, () =>
      owner.query(`INSERT INTO ${table} (${columns}) SELECT ${columns} FROM reading`),
    );
    await seconds(`${table}: three indexes`, async () => {
      await owner.query(`ALTER TABLE ${table} ADD PRIMARY KEY (shop_id, id)`);
      await owner.query(`CREATE INDEX ON ${table} (shop_id, job_axle_id)`);
      await owner.query(`CREATE INDEX ON ${table} (shop_id, job_id)`);
    });
    await owner.query(`VACUUM ANALYZE ${table}`);
  }
  for (const table of ['whole', 'parted', 'whole', 'parted']) {
    const times: number[] = [];
    for (let n = 0; n < RUNS; n++) {
      const who = askers['any shop'][n % 40]!;
      const since = performance.now();
      await owner.query({
        name: `q-${table}`,
        text: `SELECT * FROM ${table} WHERE shop_id = $1 AND job_axle_id = $2`,
        values: [who.shop, who.job],
      });
      times.push(performance.now() - since);
    }
    times.sort((a, b) => a - b);
    console.log(
      `${table}: readings of a job, p50 ${times[RUNS / 2]!.toFixed(2)}, p95 ${times[Math.floor(RUNS * 0.95)]!.toFixed(2)} ms`,
    );
  }
  for (const table of ['whole', 'parted']) {
    const { shop } = askers['any shop'][0]!;
    await seconds(`${table}: all readings of one shop deleted`, () =>
      owner.query(`DELETE FROM ${table} WHERE shop_id = $1`, [shop]),
    );
    await seconds(`${table}: cleaned after it`, () => owner.query(`VACUUM ${table}`));
  }
}
const bloat = await owner.query<{ table: string; dead: string }>(
  `SELECT relname AS table, n_dead_tup::text AS dead FROM pg_stat_user_tables WHERE n_dead_tup > 1000 ORDER BY n_dead_tup DESC LIMIT 5`,
);
console.log(
  `\nrows dead and not yet cleaned: ${bloat.rows.map((r) => `${r.table} ${r.dead}`).join(', ') || 'none to speak of'}`,
);
// GRAVELWORT_KEEP=minutes leaves it up for a closer look.
await new Promise((resolve) => setTimeout(resolve, Number(process.env.GRAVELWORT_KEEP ?? 0) * 60_000));
await owner.end();
await closePool();
