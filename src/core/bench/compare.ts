import { packDepth, packMass, type BenchPack } from './benchPack';
import { type BenchFigures } from './figures';

type Solved = Pick<BenchFigures, 'freeArch' | 'rate'> | null;

/** One row of the table that lays two packs side by side; values in core units or words. */
export interface DifferenceRow {
  what: string;
  unit: 'mm' | 'N/mm' | 'kg' | 'count' | 'word';
  one: number | string | null;
  other: number | string | null;
  /** other − one, where both are numbers. */
  difference: number | null;
  /** The difference matters when parts are swapped. */
  look: boolean;
}

/** Differences below these do not matter when one pack takes the place of the other; chosen, lengths within the tape's doubt. */
const SAME = { mm: 1.5, length: 5, 'N/mm': 2, kg: 0.5, count: 0 } as const;

/** How two packs differ where it matters for fitting one in the place of the other. */
export function packDifferences(
  one: BenchPack,
  other: BenchPack,
  solved: { one: Solved; other: Solved },
): DifferenceRow[] {
  const row = (
    what: string,
    unit: DifferenceRow['unit'],
    of: (pack: BenchPack, figures: Solved) => number | string | null,
    same: number = unit === 'word' ? 0 : SAME[unit],
  ): DifferenceRow => {
    const [a, b] = [of(one, solved.one), of(other, solved.other)];
    const difference = typeof a === 'number' && typeof b === 'number' ? b - a : null;
    const look = difference !== null ? Math.abs(difference) > same : a !== null && b !== null && a !== b;
    return { what, unit, one: a, other: b, difference, look };
  };
  return [
    row('pin to front eye', 'mm', (p) => p.leaves[0]?.front ?? null, SAME.length),
    row('pin to rear eye', 'mm', (p) => p.leaves[0]?.rear ?? null, SAME.length),
    row('thickness', 'mm', packDepth),
    row('leaves', 'count', (p) => p.leaves.length),
    row('width', 'mm', (p) => p.leaves[0]?.width ?? null),
    row('free arch', 'mm', (p, f) => f?.freeArch ?? p.freeArch, SAME.length),
    row('rate from its leaves', 'N/mm', (_, f) => f?.rate ?? null),
    row('rate its maker gives', 'N/mm', (p) => p.rate),
    row('may carry', 'kg', (p) => p.rating, 1),
    row('mass', 'kg', packMass),
    row('eyes', 'word', (p) => p.eyeForm),
    row('eye bore', 'mm', (p) => p.eyeBore, 0.3),
    row('front eye bolt', 'word', (p) => p.boltFront),
    row('rear eye bolt', 'word', (p) => p.boltRear),
    row('centre bolt', 'mm', (p) => p.centreBolt, 0.3),
  ];
}
