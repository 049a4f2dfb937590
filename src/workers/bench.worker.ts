// Runs in the browser: two packs on the bench under one load, as fast as hands lay leaves about; only the latest question counts.
import { CoreError } from '@/core/errors';
import { type BenchPack } from '@/core/bench/benchPack';
import { BenchSpring, type BenchFigures } from '@/core/bench/figures';
import { packed, type SpringFigure } from './springFigure';

export interface BenchQuestion {
  key: number;
  packs: Record<'was' | 'now' | 'donor', BenchPack | null>;
  load: number;
  /** End of the curve, N. */
  most: number;
}

export interface BenchAnswer {
  figures: Omit<BenchFigures, 'view'>;
  view: SpringFigure;
}
export type BenchSaid = BenchAnswer | { refused: string };
export interface BenchReply {
  key: number;
  load: number;
  said: Record<'was' | 'now' | 'donor', BenchSaid | null>;
}

let next: BenchQuestion | undefined;
/** Solved springs by what their pack says, so that a moved load does not start from nothing. */
const springs = new Map<string, BenchSpring>();
const KEPT = 12;

function springOf(pack: BenchPack): BenchSpring {
  const name = JSON.stringify(pack);
  const known = springs.get(name);
  if (known) return known;
  const spring = new BenchSpring(pack);
  if (springs.size >= KEPT) springs.delete(springs.keys().next().value!);
  springs.set(name, spring);
  return spring;
}

function said(pack: BenchPack | null, load: number, most: number): BenchSaid | null {
  if (!pack || pack.leaves.length === 0) return null;
  try {
    const { view, ...figures } = springOf(pack).at(load, most);
    const drawn = packed(view);
    if ('refused' in drawn) return { refused: drawn.refused };
    return { figures, view: drawn };
  } catch (error) {
    if (error instanceof CoreError) return { refused: error.message };
    throw error;
  }
}

function answer(): void {
  const question = next;
  next = undefined;
  if (!question) return;
  const { key, packs, load, most } = question;
  const reply: BenchReply = {
    key,
    load,
    said: {
      now: said(packs.now, load, most),
      was: said(packs.was, load, most),
      donor: said(packs.donor, load, most),
    },
  };
  self.postMessage(reply);
}

self.onmessage = ({ data }: MessageEvent<BenchQuestion>) => {
  if (!next) setTimeout(answer, 0);
  next = data;
};
