// npm run bench:load -- [MECHANICS] [SECONDS]: so many people at work with pauses of five seconds in the mean, each on a job of their own; what a save and a page take.
import { ask, BenchServer, percentile, sessions } from './benchServer';
import { uniformFrom } from '@/workers/random';
import { newJob } from '../tests/e2e/newJob';

const people = Number(process.argv[2] ?? 50);
const seconds = Number(process.argv[3] ?? 120);
const PAUSE = 5000;

const server = await BenchServer.open();
const took: Record<'save' | 'page', number[]> = { save: [], page: [] };
const failed: string[] = [];
/** Counted from here: people do not come to work in the same second, and a server is warm after some. */
const WARM = 10_000;
let [from, until] = [0, 0];

const pagesOf = (id: string): string[] => [
  ...['measure', 'inspect', 'choose', 'build'].map((station) => `/jobs/${id}/${station}`),
  ...['/', '/shelf'],
];

async function mechanic({ token, id }: { token: string; id: string }, k: number): Promise<void> {
  const random = uniformFrom(k + 1);

  const call = async (kind: 'save' | 'page' | null, method: string, path: string, body?: unknown) => {
    const { status, ms, text } = await ask(server.url, token, method, path, body);
    if (kind && status === 200 && performance.now() - ms > from) took[kind].push(ms);
    if (status !== 200) failed.push(`${method} ${path} ${status} ${text.slice(0, 120)}`);
  };
  const job = `/jobs/${id}`;
  const pages = pagesOf(id);
  while (performance.now() < until) {
    await new Promise((resolve) => setTimeout(resolve, -PAUSE * Math.log(1 - random())));
    if (random() < 0.7) {
      const item = {
        id: crypto.randomUUID(),
        what: `part ${Math.round(1e6 * random())}`,
        wanted: 1,
        state: 'expected',
      };
      await call('save', 'POST', `/api${job}/kit`, item);
    } else await call('page', 'GET', pages[Math.floor(random() * pages.length)]!);
  }
}

const opened: number[] = [];
const jobs: { token: string; id: string }[] = [];
// One after the other, as people come in; every kind of page is asked for once, as a server that has run for a while has.
for (const token of await sessions(people)) {
  const job = newJob();
  const { status, ms, text } = await ask(server.url, token, 'POST', '/api/jobs', job);
  if (status !== 200) failed.push(`POST /api/jobs ${status} ${text.slice(0, 120)}`);
  opened.push(ms);
  jobs.push({ token, id: job.id });
}
for (const page of pagesOf(jobs[0]!.id)) await ask(server.url, jobs[0]!.token, 'GET', page);
from = performance.now() + WARM;
until = from + seconds * 1000;
await Promise.all(jobs.map(mechanic));
await server.kill();
for (const [kind, ms] of Object.entries({ opened, ...took }))
  console.log(
    `${kind.padEnd(6)} ${String(ms.length).padStart(6)} answered   median ${percentile(ms, 0.5).toFixed(0).padStart(5)} ms   p95 ${percentile(ms, 0.95).toFixed(0).padStart(5)} ms   longest ${Math.max(
      ...ms,
    )
      .toFixed(0)
      .padStart(5)} ms`,
  );
console.log(`${people} people, ${seconds} s, ${failed.length} failed`);
for (const line of new Set(failed.slice(0, 10))) console.log(`  ${line}`);
