// Runs in the browser: latest request wins, stale work is dropped between solves.
import { type AxleInput, type AxlePrediction } from '@/core/suspension/registry';
import { bandsOfAxle, predictAxle } from '@/core/suspension/solvers';
import { type Band } from '@/core/prediction/band';
import { CoreError } from '@/core/errors';
import { uniformFrom } from './random';

export interface PredictRequest {
  id: number;
  input: AxleInput;
  seed: number;
  /** 0 for the central answer only, without its curves. */
  samples: number;
  /** Whether the central answer ranks its inputs by their effect. */
  ranked: boolean;
  /** Nothing is told before the central answer is whole, with its curves and where the springs themselves end the travel. */
  whole?: boolean;
}
/** Drops what is being solved. */
export interface StopRequest {
  id: number;
  stop: true;
}
export type PredictMessage =
  /** `whole` when nothing more of it comes; else its curves do. */
  | { id: number; stage: 'central'; prediction: AxlePrediction; whole: boolean }
  | { id: number; stage: 'progress'; done: number }
  | { id: number; stage: 'bands'; bands: Record<'left' | 'right', Band[] | null> }
  | { id: number; stage: 'refused'; field: string; reason: string }
  /** The program's own fault, never the readings'. */
  | { id: number; stage: 'fault'; reason: string };

let latest = 0;
const post = (message: PredictMessage) => self.postMessage(message);
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/**
 * Runs a core generator in slices of about 10 ms, to its end or until something yielded is all that is wanted; undefined when a newer
 * request has come in. @param onSlice at the end of every slice
 */
async function run<Y, T>(
  id: number,
  generator: Generator<Y, T>,
  { onSlice, until }: { onSlice?: (value: Y) => void; until?: (value: Y) => boolean },
): Promise<Y | T | undefined> {
  let since = performance.now();
  for (;;) {
    const step = generator.next();
    if (step.done === true || until?.(step.value) === true) return step.value;
    if (performance.now() - since > 10) {
      onSlice?.(step.value as Y);
      await breathe();
      if (latest !== id) return undefined;
      since = performance.now();
    }
  }
}

self.onmessage = async ({ data }: MessageEvent<PredictRequest | StopRequest>) => {
  latest = data.id;
  if ('stop' in data) return;
  const { id, input, seed, samples, ranked, whole = false } = data;
  try {
    const work: Generator<AxlePrediction | undefined, AxlePrediction> = predictAxle(input, ranked);
    if (!whole) {
      const heights = await run(id, work, { until: (answer) => answer !== undefined });
      if (!heights) return;
      post({ id, stage: 'central', prediction: heights, whole: samples === 0 });
      if (samples === 0) return;
    }
    const prediction = await run(id, work, {});
    if (!prediction) return;
    post({ id, stage: 'central', prediction, whole: true });
    if (samples === 0) return;
    const bands = await run(id, bandsOfAxle(input, prediction, uniformFrom(seed), samples), {
      onSlice: (done) => post({ id, stage: 'progress', done }),
    });
    if (bands && typeof bands === 'object') post({ id, stage: 'bands', bands });
  } catch (error) {
    if (error instanceof CoreError) post({ id, stage: 'refused', field: error.field, reason: error.message });
    else post({ id, stage: 'fault', reason: error instanceof Error ? error.message : String(error) });
  }
};
