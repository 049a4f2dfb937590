// npm run bench:sweep -- [REQUESTS] [SEED]: sends what no screen would send, from four at once, and counts what comes back. Exit code 1 when any of it is a
// fault of the server.
import { type JobView } from '@/contracts/job';
import { demoJob } from '../demo/ids';
import { NOBODY, sweep } from '../tests/e2e/sweep';
import { ask, BenchServer, percentile, sessions } from './benchServer';

const count = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? 1);
const AT_ONCE = 4;

const server = await BenchServer.open();
const tokens = await sessions(AT_ONCE);
const job = `/api${demoJob(3)}`;
const view = JSON.parse((await ask(server.url, tokens[0]!, 'GET', job)).text) as JobView;
const requests = sweep(job, view, count, seed);
const said = new Map<number, number>();
const times: number[] = [];
const faults: string[] = [];
const began = Date.now();
await Promise.all(
  tokens.map(async (token) => {
    for (const { method, path, data } of requests) {
      const { status, ms, text } = await ask(server.url, token, method, path, data);
      said.set(status, (said.get(status) ?? 0) + 1);
      times.push(ms);
      if (status >= 500 || status === 0)
        faults.push(`${method} ${path} ${JSON.stringify(data)?.slice(0, 300)}: ${status} ${text.slice(0, 200)}`);
    }
  }),
);
const alive = await ask(server.url, tokens[0]!, 'GET', `${job}?${NOBODY}`);
await server.kill();
console.log(`${times.length} requests in ${Math.round((Date.now() - began) / 1000)} s, seed ${seed}`);
console.log(
  [...said]
    .sort(([p], [q]) => p - q)
    .map(([status, n]) => `${status}: ${n}`)
    .join(', '),
);
console.log(
  `in the median ${percentile(times, 0.5).toFixed(0)} ms, 99 % within ${percentile(times, 0.99).toFixed(0)} ms; afterwards it answers ${alive.status}`,
);
for (const line of [...faults, ...server.faults].slice(0, 30)) console.log(line.slice(0, 1500));
console.log(`${faults.length} faults of the server`);
if (faults.length > 0 || alive.status !== 200) process.exitCode = 1;
