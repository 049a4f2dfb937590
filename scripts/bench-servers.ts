// npm run bench:servers -- 16 15: how many jobs' pages one server and two behind a plain proxy answer to so many callers without a pause, for so many seconds each.
// Prints figures, tests nothing. Run through scripts/bench-db.sh.
import { BenchServer, ask, percentile, sessions } from './benchServer';
import { demoJob } from '../demo/ids';
import { Proxy } from '../tests/e2e/proxy';

const callers = Number(process.argv[2] ?? 16);
const seconds = Number(process.argv[3] ?? 15);
const servers = [await BenchServer.open(), await BenchServer.open()];
const tokens = await sessions(callers);

async function load(count: number): Promise<number> {
  const proxy = await Proxy.before(servers.slice(0, count).map((s) => s.port));
  const took: number[] = [];
  let failed = 0;
  const until = performance.now() + seconds * 1000;
  await Promise.all(
    tokens.map(async (token, k) => {
      for (let n = k; performance.now() < until; n++) {
        const path = n % 3 === 0 ? '/api' + demoJob(1) : n % 3 === 1 ? '/' : `${demoJob(3)}/choose`;
        const { status, ms } = await ask(proxy.url, token, 'GET', path);
        if (status === 200) took.push(ms);
        else failed += 1;
      }
    }),
  );
  proxy.close();
  const rate = took.length / seconds;
  console.log(
    `${count} ${count === 1 ? 'server ' : 'servers'}: ${rate.toFixed(1)} answers a second, p50 ${percentile(took, 0.5).toFixed(0)} ms, p95 ${percentile(took, 0.95).toFixed(0)} ms, ${failed} failed`,
  );
  return rate;
}

// Warm, then measured.
await load(2);
const one = await load(1);
console.log(`  ${((await load(2)) / one).toFixed(2)} times as many with two`);
for (const server of servers) await server.kill();
process.exit(0);
