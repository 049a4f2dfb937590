// npm run bench:board: how long the Board takes with 100,000 jobs on a throw-away cluster. Prints figures, tests nothing.
// Run through scripts/bench-db.sh, which makes the cluster and names it in APP_DATABASE_URL and OWNER_DATABASE_URL.
import { performance } from 'node:perf_hooks';
import { randomUUID } from 'node:crypto';
import { Client } from 'pg';
import { newJobSchema } from '@/contracts/ask';
import { closePool, withShop } from '@/data/client';
import { insertPerson, insertShop } from '@/data/shop';
import { createJob } from '@/server/ask';
import { board, knownAxles, PAGE } from '@/server/board';
import { DEMO_PERSON, DEMO_SHOP } from '../demo/ids';
import { JOBS } from '../demo/scenario';
import { manyJobs } from '../tests/reference/manyJobs';

const COUNT = Number(process.argv[2] ?? 100_000);
const RUNS = 40;
const first = randomUUID();

await withShop(DEMO_SHOP, DEMO_PERSON, async (tx) => {
  await insertShop(tx, 'bench');
  await insertPerson(tx, DEMO_PERSON, 'bench');
  await createJob(tx, newJobSchema.parse({ ...JOBS[0]!.ask, id: first }));
});

const owner = new Client({ connectionString: process.env.OWNER_DATABASE_URL });
await owner.connect();
await manyJobs(owner, DEMO_SHOP, COUNT);
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
const others: Record<string, () => Promise<unknown>> = {
  'axles a new job may be for': () => withShop(DEMO_SHOP, DEMO_PERSON, (tx) => knownAxles(tx)),
  'one of them, searched for': () => withShop(DEMO_SHOP, DEMO_PERSON, (tx) => knownAxles(tx, 'truck 4711')),
};
for (const [name, work] of Object.entries(others)) {
  const times: number[] = [];
  let size = 0;
  for (let k = 0; k < RUNS; k++) {
    const since = performance.now();
    size = JSON.stringify(await work()).length / 1024;
    times.push(performance.now() - since);
  }
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.floor(RUNS * share)]!.toFixed(1).padStart(8);
  console.log(`${name.padEnd(44)} ${at(0.5)} ${at(0.95)} ${' '.repeat(6)} ${size.toFixed(0).padStart(5)}`);
}
await closePool();
