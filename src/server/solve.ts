import { Worker } from 'node:worker_threads';
import { ProblemError, type Problem } from '@/contracts/problem';
import { type AxleInput, type AxlePrediction } from '@/core/suspension/registry';
import { type Band } from '@/core/prediction/band';

/** How many shops' worth of truth a stored band is drawn from. */
export const STORED_SAMPLES = 300;

export interface Solved {
  prediction: AxlePrediction;
  bands: Record<'left' | 'right', Band[] | null>;
}

/** Longer than the slowest pack takes many times over; a thread that is still silent then has lost its way. */
const PATIENCE = 120_000;

type Said = Solved | { refused: { field: string; reason: string } } | { fault: string };

const unsolved = (message: string): ProblemError =>
  new ProblemError(500, {
    code: 'solver',
    message: `${message} Nothing was saved. Try again; if it stays, tell who keeps this server.`,
  });

/**
 * Solves in a worker thread, away from the event loop. @throws ProblemError `unsolvable` when the readings contradict one another;
 * `solver` when the thread itself failed, died or fell silent, which is the program's fault and is told as such
 */
export function solveInThread(input: AxleInput, seed: number, samples: number): Promise<Solved> {
  const file = process.env.GRAVELWORT_WORKER;
  if (!file) throw new Error('GRAVELWORT_WORKER is not set; start with npm start.');
  return new Promise((resolve, reject) => {
    const worker = new Worker(/* turbopackIgnore: true */ file, { workerData: { input, seed, samples } });
    const done = (settle: () => void) => {
      clearTimeout(timer);
      void worker.terminate();
      settle();
    };
    const timer = setTimeout(() => done(() => reject(unsolved('The solver did not answer.'))), PATIENCE);
    worker.once('message', (said: Said) => {
      if ('refused' in said) {
        const problem: Problem = { code: 'unsolvable', message: said.refused.reason, field: said.refused.field };
        done(() => reject(new ProblemError(422, problem)));
      } else if ('fault' in said) {
        console.error(said.fault);
        done(() => reject(unsolved('The solver has a fault.')));
      } else done(() => resolve(said));
    });
    worker.once('error', (error) => {
      console.error(error);
      done(() => reject(unsolved('The solver failed.')));
    });
    worker.once('exit', () => done(() => reject(unsolved('The solver ended without an answer.'))));
  });
}

/** The middle answer alone, without bands and ranking. */
export const solveCentral = async (input: AxleInput): Promise<AxlePrediction> =>
  (await solveInThread(input, 1, 0)).prediction;
