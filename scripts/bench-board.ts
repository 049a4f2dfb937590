// npm run bench:board: how long the Board takes with 100,000 jobs on a throw-away cluster. Prints figures, tests nothing.
// Run through scripts/bench-db.sh, which makes the cluster and names it in APP_DATABASE_URL and OWNER_DATABASE_URL.
import { performance } from 'node:perf_hooks';
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import { newJobSchema } from '@/contracts/ask';
import { closePool, withShop } from '@/data/client';
import { insertPerson, insertShop } from '@/data/shop';
import { createJob } from '@/server/ask';
import { board, PAGE } from '@/server/board';
import { DEMO_PERSON, DEMO_SHOP } from '../demo/ids';
import { JOBS } from '../demo/scenario';

const COUNT = Number(process.argv[2] ?? 100_000);
const RUNS = 40;
const first = randomUUID();

await withShop(DEMO_SHOP, DEMO_PERSON, async (tx) => {
  await insertShop(tx, 'bench');
  await insertPerson(tx, DEMO_PERSON, 'bench');
  await createJob(tx, newJobSchema.parse({ ...JOBS[0]!.ask, id: first }));
});

// Copies of the one job: a vehicle each, nine of ten closed, checks due over three years about today.
const owner = new Client({ connectionString: process.env.OWNER_DATABASE_URL });
await owner.connect();
const copies = (table: string, changes: string, where = 'true') =>
  owner.query(
    `INSERT INTO ${table} SELECT (jsonb_populate_record(NULL::${table}, to_jsonb(t) || ${changes})).*
       FROM (SELECT * FROM ${table} WHERE ${where} LIMIT 1) t, generate_series(1, ${COUNT - 1}) n`,
  );
const id = (what: string) => `overlay(overlay(md5('${what}' || n) placing '4' from 13) placing '8' from 17)::uuid`;
await copies('vehicle', `jsonb_build_object('id', ${id('v')}, 'name', 'truck ' || n)`);
await copies('axle', `jsonb_build_object('id', ${id('a')}, 'vehicle_id', ${id('v')})`, `position = 'rear'`);
await copies(
  'job',
  `jsonb_build_object('id', ${id('j')}, 'created_at', now() - n * interval '20 minutes',
                      'closed_at', CASE WHEN n % 10 > 0 THEN now() END)`,
);
await copies('job_axle', `jsonb_build_object('id', ${id('j')}, 'job_id', ${id('j')}, 'axle_id', ${id('a')})`);
await copies('load_state', `jsonb_build_object('id', ${id('s')}, 'job_id', ${id('j')})`, 'wanted');
await owner.query(
  `INSERT INTO due_check (shop_id, id, job_id, what, after_km, due_on, open)
   SELECT $1, ${id('d')}, ${id('j')}, 'U-bolts: torque again', 800, current_date - 550 + (n % 1100), n % 25 = 0
     FROM generate_series(1, $2::int - 1) n`,
  [DEMO_SHOP, COUNT],
);
await owner.query('ANALYZE');
await owner.end();

const cases: Record<string, { words: string; most: number }> = {
  'the day sheet': { words: '', most: PAGE },
  'ten pages further back': { words: '', most: 10 * PAGE },
  'a search by name': { words: 'truck 4711', most: PAGE },
  'a search that finds nothing': { words: 'zeppelin', most: PAGE },
};
console.log(`${COUNT} jobs, ${RUNS} runs each, ms:${' '.repeat(24)}p50      p95   rows    KB`);
for (const [name, ask] of Object.entries(cases)) {
  const times: number[] = [];
  let [rows, size] = [0, 0];
  for (let k = 0; k < RUNS; k++) {
    const since = performance.now();
    const answer = await withShop(DEMO_SHOP, DEMO_PERSON, (tx) => board(tx, ask));
    times.push(performance.now() - since);
    [rows, size] = [answer.rows.length, JSON.stringify(answer.rows).length / 1024];
  }
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.floor(RUNS * share)]!.toFixed(1).padStart(8);
  console.log(`${name.padEnd(44)} ${at(0.5)} ${at(0.95)} ${String(rows).padStart(6)} ${size.toFixed(0).padStart(5)}`);
}
await closePool();
