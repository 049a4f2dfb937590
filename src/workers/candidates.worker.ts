// Runs in the browser: ranks candidates; progress is told, a newer question or a stop ends the one at work.
import { CoreError } from '@/core/errors';
import { type AxleInput } from '@/core/height/axleInput';
import { candidatesFor } from '@/core/selection/generate';
import { type Limits, type StockPart, type Suiting } from '@/core/selection/parts';
import { search, type SearchResult, type Wanted } from '@/core/selection/search';

export interface SearchQuestion {
  id: number;
  input: AxleInput;
  parts: readonly StockPart[];
  axle: Suiting;
  wanted: Wanted;
  limits: Limits;
  keep: number;
  most: number;
}
export interface SearchStop {
  id: number;
  stop: true;
}
export type SearchSaid =
  | { id: number; kind: 'progress'; share: number }
  | { id: number; kind: 'found'; result: SearchResult; ms: number }
  | { id: number; kind: 'refused'; reason: string };

let latest = 0;
const post = (said: SearchSaid) => self.postMessage(said);
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

self.onmessage = async ({ data }: MessageEvent<SearchQuestion | SearchStop>) => {
  latest = data.id;
  if ('stop' in data) return;
  const { id, input, parts, axle, wanted, limits, keep, most } = data;
  const begun = performance.now();
  try {
    const work = search(input, candidatesFor(input, parts, axle, limits, most), wanted, limits, keep);
    let since = begun;
    for (;;) {
      const step = work.next();
      if (step.done) return post({ id, kind: 'found', result: step.value, ms: performance.now() - begun });
      if (performance.now() - since < 40) continue;
      post({ id, kind: 'progress', share: step.value.done / Math.max(1, step.value.of) });
      await breathe();
      if (latest !== id) return undefined;
      since = performance.now();
    }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return post({ id, kind: 'refused', reason: error.message });
  }
};
