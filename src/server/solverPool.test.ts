import { jest } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ProblemError } from '@/contracts/problem';
import { SolverPool } from './solverPool';

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
let pool: SolverPool<Question, number>;
const open = (options: ConstructorParameters<typeof SolverPool>[1]) => {
  pool = new SolverPool(join(folder, 'worker.cjs'), options);
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
  open({ threads: 1, queue: 4, patience: 400 });
  expect(await problemOf(pool.ask({ act: 'refuse' }))).toBe('unsolvable');
  expect(await problemOf(pool.ask({ act: 'throw' }))).toBe('solver');
  expect(await problemOf(pool.ask({ act: 'die' }))).toBe('solver');
  await expect(pool.ask({ ms: 5000 })).rejects.toThrow(/did not answer/);
  expect(await pool.ask({ ms: 2 })).toBe(2);
});
