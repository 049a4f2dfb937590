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
const until = Date.now() + seconds * 1000;

async function mechanic(token: string, k: number): Promise<void> {
  const random = uniformFrom(k + 1);
  const call = async (kind: 'save' | 'page' | null, method: string, path: string, body?: unknown) => {
    const { status, ms, text } = await ask(server.url, token, method, path, body);
    if (kind && status === 200) took[kind].push(ms);
    if (status !== 200) failed.push(`${method} ${path} ${status} ${text.slice(0, 120)}`);
  };
  const { id } = newJob();
  await call(null, 'POST', '/api/jobs', { ...newJob(), id });
  const job = `/jobs/${id}`;
  const pages = [`${job}/measure`, `${job}/inspect`, `${job}/choose`, `${job}/build`, '/', '/shelf'];
  while (Date.now() < until) {
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

await Promise.all((await sessions(people)).map(mechanic));
await server.kill();
for (const [kind, ms] of Object.entries(took))
  console.log(
    `${kind.padEnd(5)} ${String(ms.length).padStart(6)} answered   median ${percentile(ms, 0.5).toFixed(0).padStart(5)} ms   p95 ${percentile(ms, 0.95).toFixed(0).padStart(5)} ms   longest ${Math.max(
      ...ms,
    )
      .toFixed(0)
      .padStart(5)} ms`,
  );
console.log(`${people} people, ${seconds} s, ${failed.length} failed`);
for (const line of new Set(failed.slice(0, 10))) console.log(`  ${line}`);
