// npm run bench:fleet -- 10000 2: how long a sweep over so many vehicles takes with one worker and with so many. Prints figures, tests nothing.
// Run through scripts/bench-db.sh, which makes the cluster and names it in APP_DATABASE_URL and OWNER_DATABASE_URL.
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import { Client } from 'pg';
import { closePool, withShop } from '@/data/client';
import { askSweep, sweepOf } from '@/server/fleet';
import { DEMO_PERSON, DEMO_SHOP, demoJob } from '../demo/ids';
import { manyVehicles } from '../tests/reference/manyVehicles';

const COUNT = Number(process.argv[2] ?? 10_000);
const MOST = Number(process.argv[3] ?? 2);
const PATTERN = demoJob(3).split('/')[2]!;
const owner = new Client({ connectionString: process.env.OWNER_DATABASE_URL });
await owner.connect();
await manyVehicles(owner, DEMO_SHOP, PATTERN, COUNT);
await owner.end();
const inShop = <T>(fn: Parameters<typeof withShop<T>>[2]) => withShop(DEMO_SHOP, DEMO_PERSON, fn);

const ended = (child: ChildProcess) => new Promise((resolve) => child.once('exit', resolve));
async function sweep(workers: number): Promise<number> {
  const running = Array.from({ length: workers }, () =>
    spawn('node_modules/.bin/tsx', ['scripts/worker.ts'], { stdio: 'inherit', env: process.env }),
  );
  // They are up before the time is taken.
  await new Promise((resolve) => setTimeout(resolve, 6000));
  const id = randomUUID();
  const given = { id, jobAxleId: PATTERN, least: 510, leastTyped: '510 mm', tolerance: 5, toleranceTyped: '5 mm' };
  const begun = performance.now();
  await inShop((tx) => askSweep(tx, given));
  for (;;) {
    await new Promise((resolve) => setTimeout(resolve, 250));
    const { batch, counts } = await inShop((tx) => sweepOf(tx, id));
    if (batch.done + batch.failed < batch.pieces) continue;
    const seconds = (performance.now() - begun) / 1000;
    const told = counts.reduce((n, c) => n + c.vehicles, 0);
    console.log(
      `${workers} ${workers === 1 ? 'worker ' : 'workers'} ${seconds.toFixed(1).padStart(7)} s, ${(told / seconds).toFixed(0)} vehicles a second, ${told} told, ${batch.failed} pieces failed: ` +
        counts.map((c) => `${c.vehicles} ${c.verdict}${c.plan === null ? '' : ` ${c.plan}`}`).join(', '),
    );
    for (const child of running) child.kill('SIGTERM');
    await Promise.all(running.map(ended));
    return seconds;
  }
}

console.log(`${COUNT} vehicles with one pack`);
const one = await sweep(1);
for (let n = 2; n <= MOST; n++) console.log(`  ${(one / (await sweep(n))).toFixed(2)} times as fast as with one`);
await closePool();
