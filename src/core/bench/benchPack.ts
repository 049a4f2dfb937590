import { CoreError } from '../errors';
import { placeByLength, type End } from '../mechanics/leafpack/pack';
import { type EyeForm } from '../mechanics/leafpack/eyes';
import { type LeafEyes } from '../parts/kinds';

export type LeafEnds = 'square' | 'trimmed';

/** One leaf lying on the bench. Lengths mm. */
export interface BenchLeaf {
  /** Its own name on the bench; a leaf taken from elsewhere has a new one. */
  id: string;
  front: number;
  rear: number;
  /** Null when nobody measured it. */
  width: number | null;
  thickness: number;
  /** String across its tips, lying free; null when nobody measured it. */
  camber: number | null;
  eyes: LeafEyes;
  ends: LeafEnds;
  /** Carries a rebound clip. */
  clip: boolean;
  /** Hole for the centre bolt. */
  hole: number | null;
  /** The pack it comes from. */
  from: string;
  used: boolean;
  /** Size that nobody has: it is to be made. */
  toMake: boolean;
  broken: { end: End; at: number } | null;
}

/** A pack lying on the bench, from the main leaf down. */
export interface BenchPack {
  name: string;
  leaves: readonly BenchLeaf[];
  /** Assembled and lying free: eye line to the main leaf's top face; null when nobody measured it. */
  freeArch: number | null;
  eyeForm: EyeForm | null;
  eyeBore: number | null;
  /** Names of their threads. */
  boltFront: string | null;
  boltRear: string | null;
  /** Diameter of the centre bolt. */
  centreBolt: number | null;
  /** As its maker gives it, N/mm. */
  rate: number | null;
  /** Load it may carry, kg. */
  rating: number | null;
}

/** What can be done to a pack. Every step gives a new pack and leaves the old one as it was. */
export type BenchStep =
  | { kind: 'move'; leaf: string; to: number }
  /** Laid in where its length belongs. */
  | { kind: 'insert'; leaf: BenchLeaf }
  /** Laid in at a place, 0 = on top. */
  | { kind: 'insertAt'; leaf: BenchLeaf; to: number }
  | { kind: 'flip'; leaf: string }
  | { kind: 'shorten'; leaf: string; end: End; to: number }
  | { kind: 'thickness'; leaf: string; to: number }
  | { kind: 'camber'; leaf: string; to: number }
  | { kind: 'ends'; leaf: string; to: LeafEnds }
  | { kind: 'clip'; leaf: string; to: boolean }
  | { kind: 'remove'; leaf: string }
  | { kind: 'break'; leaf: string; broken: BenchLeaf['broken'] };

/** A leaf shorter than this on one side of the pin holds nothing, mm. */
export const SHORTEST = 40;

const without = (eyes: LeafEyes, end: End): LeafEyes => {
  if (eyes === 'both') return end === 'front' ? 'rear' : 'front';
  return eyes === end ? 'none' : eyes;
};

/** A leaf turned end for end on its pin. */
export const flipped = (leaf: BenchLeaf): BenchLeaf => ({
  ...leaf,
  front: leaf.rear,
  rear: leaf.front,
  eyes: leaf.eyes === 'front' ? 'rear' : leaf.eyes === 'rear' ? 'front' : leaf.eyes,
  broken: leaf.broken && { ...leaf.broken, end: leaf.broken.end === 'front' ? 'rear' : 'front' },
});

function shortened(leaf: BenchLeaf, end: End, to: number): BenchLeaf {
  if (!(to >= SHORTEST)) throw new CoreError('bad-input', end, `a leaf keeps ${SHORTEST} mm on each side of the pin`);
  if (to > leaf[end]) throw new CoreError('bad-input', end, 'a leaf can be cut shorter, not made longer');
  if (to === leaf[end]) return leaf;
  // What is cut off takes the eye, and a break beyond the cut, with it.
  const broken = leaf.broken?.end === end && leaf.broken.at >= to ? null : leaf.broken;
  return { ...leaf, [end]: to, eyes: without(leaf.eyes, end), broken };
}

/**
 * Does one step to a pack.
 * @throws CoreError `bad-input` naming what cannot be: a leaf that is not there, a length it does not have
 */
export function take(pack: BenchPack, step: BenchStep): BenchPack {
  const { leaves } = pack;
  const laid = (next: readonly BenchLeaf[]): BenchPack => ({ ...pack, leaves: next });
  if (step.kind === 'insert') return take(pack, { kind: 'insertAt', leaf: step.leaf, to: placeOf(leaves, step.leaf) });
  if (step.kind === 'insertAt') {
    if (leaves.some((leaf) => leaf.id === step.leaf.id))
      throw new CoreError('bad-input', 'leaf', 'this leaf lies in the pack already');
    return laid(leaves.toSpliced(within(step.to, leaves.length), 0, step.leaf));
  }
  const at = leaves.findIndex((leaf) => leaf.id === step.leaf);
  const leaf = leaves[at];
  if (!leaf) throw new CoreError('bad-input', 'leaf', 'this leaf is not in the pack');
  const put = (next: BenchLeaf) => laid(leaves.with(at, next));
  switch (step.kind) {
    case 'move':
      return laid(leaves.toSpliced(at, 1).toSpliced(within(step.to, leaves.length - 1), 0, leaf));
    case 'remove':
      return laid(leaves.toSpliced(at, 1));
    case 'flip':
      return put(flipped(leaf));
    case 'shorten':
      return put(shortened(leaf, step.end, step.to));
    case 'thickness':
      if (!(step.to >= 2 && step.to <= 60)) throw new CoreError('bad-input', 'thickness', 'a leaf is 2 to 60 mm thick');
      // Another thickness is another leaf.
      return put(step.to === leaf.thickness ? leaf : { ...leaf, thickness: step.to, toMake: true, used: false });
    case 'camber':
      if (!(Math.abs(step.to) < (leaf.front + leaf.rear) / 2.5))
        throw new CoreError('bad-input', 'camber', 'a leaf of this length cannot be curved so much');
      return put({ ...leaf, camber: step.to });
    case 'ends':
      return put({ ...leaf, ends: step.to });
    case 'clip':
      return put({ ...leaf, clip: step.to });
    case 'break': {
      const { broken } = step;
      if (broken && !(broken.at >= 0 && broken.at <= leaf[broken.end]))
        throw new CoreError('bad-input', 'broken', 'the break lies off the leaf');
      return put({ ...leaf, broken });
    }
  }
}

const within = (to: number, most: number): number => Math.max(0, Math.min(most, Math.round(to)));

const placeOf = (leaves: readonly BenchLeaf[], leaf: BenchLeaf): number =>
  leaves.length === 0 ? 0 : placeByLength(leaves, leaf);

/** Steps done, to be undone and done again. */
export interface Bench {
  now: BenchPack;
  past: readonly BenchPack[];
  future: readonly BenchPack[];
}

export const laidOut = (pack: BenchPack): Bench => ({ now: pack, past: [], future: [] });

/** Does a step and remembers what was there; a step that changes nothing is not remembered. */
export function done(bench: Bench, step: BenchStep): Bench {
  const next = take(bench.now, step);
  if (next.leaves.every((leaf, k) => leaf === bench.now.leaves[k]) && next.leaves.length === bench.now.leaves.length)
    return bench;
  return { now: next, past: [...bench.past, bench.now], future: [] };
}

export const undone = (bench: Bench): Bench => {
  const before = bench.past.at(-1);
  return before ? { now: before, past: bench.past.slice(0, -1), future: [bench.now, ...bench.future] } : bench;
};

export const redone = (bench: Bench): Bench => {
  const [next, ...rest] = bench.future;
  return next ? { now: next, past: [...bench.past, bench.now], future: rest } : bench;
};

/** Density of steel, kg/mm³. Common handbook value. */
const STEEL_DENSITY = 7.85e-6;

/** Mass of the leaves, kg; eyes count as a roll of their own bore. Null when a width is missing. */
export function packMass(pack: BenchPack): number | null {
  let mass = 0;
  for (const { front, rear, width, thickness, eyes } of pack.leaves) {
    if (width === null) return null;
    const rolls = eyes === 'both' ? 2 : eyes === 'none' ? 0 : 1;
    const eye = Math.PI * ((pack.eyeBore ?? 0) + thickness);
    mass += STEEL_DENSITY * width * thickness * (front + rear + rolls * eye);
  }
  return mass;
}

export const packDepth = (pack: BenchPack): number => pack.leaves.reduce((sum, leaf) => sum + leaf.thickness, 0);
