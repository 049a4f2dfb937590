import { type Band } from '@/core/prediction/band';
import { type HeightAt, type Levers } from '@/core/prediction/levers';
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
/** What moves the heights that were read after the work. */
interface LeverQuestion {
  input: AxleInput;
  heights: HeightAt[];
}

const kept = globalThis as { gravelwortSolvers?: ThreadPool<SolveQuestion | LeverQuestion, unknown> };

/** One pool for every question, so that one shop's studies leave the others their turn. */
function pool(): ThreadPool<SolveQuestion | LeverQuestion, unknown> {
  const file = process.env.GRAVELWORT_WORKER;
  if (!file) throw new Error('GRAVELWORT_WORKER is not set; start with npm start.');
  return (kept.gravelwortSolvers ??= new ThreadPool(file));
}

/** Solves in a worker thread, away from the event loop. @throws ProblemError as `ThreadPool` */
export function solveInThread(input: AxleInput, seed: number, samples: number, asker: Asker = {}): Promise<Solved> {
  return pool().ask({ input, seed, samples }, asker) as Promise<Solved>;
}

/** What moves the heights that were read, in a worker thread. @throws ProblemError as `ThreadPool` */
export const leversInThread = (input: AxleInput, heights: HeightAt[], asker: Asker = {}): Promise<Levers> =>
  pool().ask({ input, heights }, asker) as Promise<Levers>;

/** The middle answer alone, without bands and ranking. */
export const solveCentral = async (input: AxleInput, asker: Asker = {}): Promise<AxlePrediction> =>
  (await solveInThread(input, 1, 0, asker)).prediction;
