// Runs in the browser: ranks candidates; progress is told, a newer question or a stop ends the one at work.
import { CoreError } from '@/core/errors';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { candidatesFor, type Candidate } from '@/core/selection/generate';
import { type Limits, type StockPart, type Suiting } from '@/core/selection/parts';
import { compare, search, type Ranked, type SearchResult, type Wanted } from '@/core/selection/search';
import { type UboltFacts } from '@/core/selection/uboltNeed';

export interface SearchQuestion {
  id: number;
  /** U-bolts as they were read. */
  ubolts: UboltFacts;
  input: LeafAxleInput;
  parts: readonly StockPart[];
  axle: Suiting;
  wanted: Wanted;
  limits: Limits;
  keep: number;
  most: number;
}
/** A few candidates, or plans told as candidates, to be set side by side. */
export interface CompareQuestion {
  id: number;
  compare: readonly Candidate[];
  input: LeafAxleInput;
  parts: readonly StockPart[];
  ubolts: UboltFacts;
  wanted: Wanted;
}
export interface SearchStop {
  id: number;
  stop: true;
}
export type SearchSaid =
  | { id: number; kind: 'progress'; share: number }
  | { id: number; kind: 'found'; result: SearchResult; ms: number }
  | { id: number; kind: 'compared'; found: (Ranked | null)[] }
  | { id: number; kind: 'refused'; reason: string }
  /** The program's own fault, never the readings'. */
  | { id: number; kind: 'fault'; reason: string };

let latest = 0;
const post = (said: SearchSaid) => self.postMessage(said);
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** Runs a generator in slices, telling its progress; undefined when a newer question has come in. */
async function run<T>(id: number, work: Generator<{ done: number; of: number }, T>): Promise<T | undefined> {
  let since = performance.now();
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    if (performance.now() - since < 40) continue;
    post({ id, kind: 'progress', share: step.value.done / Math.max(1, step.value.of) });
    await breathe();
    if (latest !== id) return undefined;
    since = performance.now();
  }
}

self.onmessage = async ({ data }: MessageEvent<SearchQuestion | CompareQuestion | SearchStop>) => {
  latest = data.id;
  if ('stop' in data) return;
  const { id, input, parts, wanted, ubolts } = data;
  const stock = { facts: ubolts, parts: parts.filter((p) => p.ubolt !== undefined) };
  const begun = performance.now();
  try {
    if ('compare' in data) {
      const found = await run(id, compare(input, data.compare, wanted, stock));
      if (found) post({ id, kind: 'compared', found });
      return;
    }
    const { axle, limits, keep, most } = data;
    const work = search(input, candidatesFor(input, parts, axle, limits, most), wanted, limits, keep, stock);
    const result = await run(id, work);
    if (result) post({ id, kind: 'found', result, ms: performance.now() - begun });
  } catch (error) {
    if (error instanceof CoreError) post({ id, kind: 'refused', reason: error.message });
    else post({ id, kind: 'fault', reason: error instanceof Error ? error.message : String(error) });
  }
};
