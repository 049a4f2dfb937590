import { jest } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ProblemError } from '@/contracts/problem';
import { ThreadPool } from './threadPool';

interface Question {
  ms?: number;
  act?: 'refuse' | 'throw' | 'die';
}
/** A stand-in for the solver: waits, refuses, fails or ends its thread as it is told. */
const WORKER = `module.exports = async ({ ms = 0, act }) => {
  if (act === 'refuse') return { refused: { field: 'pack', reason: 'no equilibrium' } };
  if (act === 'throw') throw new Error('a slip of the program');
  if (act === 'die') process.exit(3);
  await new Promise((done) => setTimeout(done, ms));
  return { answer: ms };
};`;

let folder: string;
let pool: ThreadPool<Question, number>;
const open = (options: ConstructorParameters<typeof ThreadPool>[1]) => {
  pool = new ThreadPool(join(folder, 'worker.cjs'), options);
};
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'gravelwort-pool-'));
  writeFileSync(join(folder, 'worker.cjs'), WORKER);
});
afterAll(() => rmSync(folder, { recursive: true }));
beforeEach(() => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(async () => {
  jest.restoreAllMocks();
  await pool.close();
});
const problemOf = (asked: Promise<number>) =>
  asked.then(
    () => 'answered',
    (error: unknown) => (error instanceof ProblemError ? error.problem.code : String(error)),
  );

test('at its limit it says busy and in how long, and what was let in is answered all the same', async () => {
  open({ threads: 1, queue: 2 });
  const in3 = [pool.ask({ ms: 150 }), pool.ask({ ms: 10 }), pool.ask({ ms: 20 })];
  await expect(pool.ask({})).rejects.toMatchObject({
    problem: { code: 'busy' },
    message: expect.stringMatching(/try again in about \d+ s/) as string,
  });
  expect(await Promise.all(in3)).toEqual([150, 10, 20]);
  expect(await pool.ask({ ms: 1 })).toBe(1);
});

test('readings that cannot be solved, a fault, a thread that dies and one that falls silent are told apart; the next question is answered', async () => {
  // A busy machine takes its time to start a thread.
  open({ threads: 1, queue: 4, patience: 3000 });
  expect(await problemOf(pool.ask({ act: 'refuse' }))).toBe('unsolvable');
  expect(await problemOf(pool.ask({ act: 'throw' }))).toBe('solver');
  expect(await problemOf(pool.ask({ act: 'die' }))).toBe('solver');
  await expect(pool.ask({ ms: 60_000 })).rejects.toThrow(/found no end within/);
  expect(await pool.ask({ ms: 2 })).toBe(2);
});

test('who asks once has the next turn though another asked ten times; nobody may fill the line; what nobody waits for is ended', async () => {
  open({ threads: 1, queue: 8, each: 3 });
  const done: string[] = [];
  const ask = (who: string, ms = 20) => pool.ask({ ms }, { who }).then(() => done.push(who));
  const all = [ask('much', 100), ask('much'), ask('much'), ask('much'), ask('once')];
  await expect(pool.ask({}, { who: 'much' })).rejects.toMatchObject({ status: 429, problem: { code: 'busy' } });
  await Promise.all(all);
  expect(done).toEqual(['much', 'once', 'much', 'much', 'much']);
  const leaves = new AbortController();
  const long = pool.ask({ ms: 60_000 }, { gone: leaves.signal });
  const waits = pool.ask({ ms: 60_000 }, { gone: leaves.signal });
  const after = pool.ask({ ms: 3 });
  leaves.abort();
  expect(await Promise.all([problemOf(long), problemOf(waits)])).toEqual(['gone', 'gone']);
  expect(await after).toBe(3);
});
