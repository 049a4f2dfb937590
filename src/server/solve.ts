import { type Band } from '@/core/prediction/band';
import { type AxleInput, type AxlePrediction } from '@/core/suspension/registry';
import { ThreadPool, type Asker } from './threadPool';

/** How many shops' worth of truth a stored band is drawn from. */
export const STORED_SAMPLES = 20_000;

export interface Solved {
  prediction: AxlePrediction;
  bands: Record<'left' | 'right', Band[] | null>;
}
export interface SolveQuestion {
  input: AxleInput;
  seed: number;
  /** 0: the middle answer alone, without bands and ranking. */
  samples: number;
}

const kept = globalThis as { gravelwortSolvers?: ThreadPool<SolveQuestion, Solved> };

/** Solves in a worker thread, away from the event loop. @throws ProblemError as `ThreadPool` */
export function solveInThread(input: AxleInput, seed: number, samples: number, asker: Asker = {}): Promise<Solved> {
  const file = process.env.GRAVELWORT_WORKER;
  if (!file) throw new Error('GRAVELWORT_WORKER is not set; start with npm start.');
  kept.gravelwortSolvers ??= new ThreadPool(file);
  return kept.gravelwortSolvers.ask({ input, seed, samples }, asker);
}

/** The middle answer alone, without bands and ranking. */
export const solveCentral = async (input: AxleInput, asker: Asker = {}): Promise<AxlePrediction> =>
  (await solveInThread(input, 1, 0, asker)).prediction;
