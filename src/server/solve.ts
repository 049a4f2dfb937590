import { Worker } from 'node:worker_threads';
import { ProblemError, type Problem } from '@/contracts/problem';
import { type AxleInput } from '@/core/height/axleInput';
import { type Band } from '@/core/height/band';
import { type AxlePrediction } from '@/core/height/predict';

/** How many shops' worth of truth a stored band is drawn from. */
export const STORED_SAMPLES = 300;

export interface Solved {
  prediction: AxlePrediction;
  bands: Record<'left' | 'right', Band[] | null>;
}

/** Solves in a worker thread, away from the event loop. @throws ProblemError when the readings contradict one another */
export function solveInThread(input: AxleInput, seed: number, samples: number): Promise<Solved> {
  const file = process.env.GRAVELWORT_WORKER;
  if (!file) throw new Error('GRAVELWORT_WORKER is not set; start with npm start.');
  return new Promise((resolve, reject) => {
    const worker = new Worker(/* turbopackIgnore: true */ file, { workerData: { input, seed, samples } });
    worker.once('message', (message: Solved | { refused: { field: string; reason: string } }) => {
      void worker.terminate();
      if ('refused' in message) {
        const problem: Problem = { code: 'unsolvable', message: message.refused.reason, field: message.refused.field };
        reject(new ProblemError(422, problem));
      } else resolve(message);
    });
    worker.once('error', reject);
  });
}
