// npm run --silent solve -- CASE.json: prints one JSON object; an error object and exit code 1 when it cannot.
// npm run --silent solve < CASES.jsonl: a case a line, answered a line each in the same order as they come; exit code 1 if any failed.
import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { answerLine, failure } from './solveLine';

const [file] = process.argv.slice(2);
if (file) one(file);
else if (process.stdin.isTTY) {
  console.log(
    JSON.stringify(failure('usage', 'usage: npm run --silent solve -- CASE.json, or a case a line on stdin')),
  );
  process.exitCode = 1;
} else void fleet();

function one(path: string): void {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (error) {
    text = '';
    console.log(JSON.stringify(failure('unreadable', error instanceof Error ? error.message : String(error))));
    process.exitCode = 1;
    return;
  }
  const { answer, failed } = answerLine(text);
  console.log(answer);
  if (failed) process.exitCode = 1;
}

/** Cases in one piece of work, and pieces each thread may have before the reader waits. */
const CHUNK = 25;
const AHEAD = 4;

/** Answers cases from stdin on all processors, streaming and in order. */
async function fleet(): Promise<void> {
  // Bundled it runs twice as fast, and a thread needs no loader.
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL('./solveWorker.ts', import.meta.url))],
    ...{ bundle: true, platform: 'node', write: false, logLevel: 'error' },
  });
  const program = outputFiles![0]!.text;
  const threads = Array.from({ length: availableParallelism() }, () => new Worker(program, { eval: true }));
  const waiting = new Map<number, (said: { answers: string[]; failed: boolean }) => void>();
  for (const thread of threads)
    thread.on('message', ({ id, ...said }: { id: number; answers: string[]; failed: boolean }) => {
      waiting.get(id)?.(said);
      waiting.delete(id);
    });
  let id = 0;
  const ask = (lines: string[]) =>
    new Promise<{ answers: string[]; failed: boolean }>((resolve) => {
      const own = (id += 1);
      waiting.set(own, resolve);
      threads[own % threads.length]!.postMessage({ id: own, lines });
    });
  const print = async (said: Promise<{ answers: string[]; failed: boolean }>) => {
    const { answers, failed } = await said;
    if (failed) process.exitCode = 1;
    if (!process.stdout.write(`${answers.join('\n')}\n`))
      await new Promise((done) => process.stdout.once('drain', done));
  };
  const asked: Promise<{ answers: string[]; failed: boolean }>[] = [];
  let lines: string[] = [];
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    lines.push(line);
    if (lines.length < CHUNK) continue;
    asked.push(ask(lines));
    lines = [];
    if (asked.length >= AHEAD * threads.length) await print(asked.shift()!);
  }
  if (lines.length > 0) asked.push(ask(lines));
  for (const said of asked) await print(said);
  await Promise.all(threads.map((thread) => thread.terminate()));
}
