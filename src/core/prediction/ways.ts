import { CoreError } from '../errors';
import { type SideModel, type SpringFigures } from '../suspension/kind';
import { type Verdict } from '../verdict';
import { extraLoads } from './lines';

/** A part of the shelf as far as any search goes; price of one piece in the shop's own money. */
export interface WayPart {
  id: string;
  name: string;
  price: number | null;
  /** Until it is here: 0 when enough lie on the shelf; null when nobody knows. */
  days: number | null;
  used: boolean;
}

/** One way to another height, as far as every kind tells it. */
export interface SolvedWay {
  id: string;
  name: string;
  /** From what is wanted, mm; short by is negative. */
  off: number;
  checks: readonly Verdict[];
  parts: readonly WayPart[];
  price: number | null;
  days: number | null;
}

/** One side in one load state with some changes made and without. */
export interface Built<F> {
  change: number;
  old: F;
  built: F;
}

/** A side's model with the changes of a way and the load states they are solved in. */
interface SideOfWay<C, F extends SpringFigures> {
  model: SideModel<C, F>;
  drawn: { changes: readonly C[]; states: { extraMass: number }[] };
}

/** Every side in every load state, solved; undefined where the axle cannot stand under one of the loads. */
export function solvedSides<C, F extends SpringFigures>(sides: () => SideOfWay<C, F>[]): Built<F>[][] | undefined {
  try {
    return sides().map(({ model, drawn }) =>
      extraLoads(drawn, drawn.states.length).map((extra) => ({
        change: model.rise(drawn.changes, extra) - model.rise([], extra),
        old: model.figures([], extra, false)!,
        built: model.figures(drawn.changes, extra, false)!,
      })),
    );
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

/** Mean of both sides in each load state, in the order of the states. */
export function meanStates<F extends SpringFigures>(
  states: readonly { id: string }[],
  solved: readonly (readonly Built<F>[])[],
): { id: string; change: number; rate: number; rateBefore: number }[] {
  const mean = (of: (s: Built<F>) => number, k: number) =>
    solved.reduce((sum, side) => sum + of(side[k]!), 0) / solved.length;
  return states.map(({ id }, k) => ({
    id,
    change: mean((s) => s.change, k),
    rate: mean((s) => s.built.rate, k),
    rateBefore: mean((s) => s.old.rate, k),
  }));
}

/** What the parts cost and until they are here; null where a price or a day is not known. @param pieces of each part */
export function boughtFor(parts: readonly WayPart[], pieces: readonly number[]): Pick<SolvedWay, 'price' | 'days'> {
  const prices = parts.map(({ price }, k) => (price === null ? null : price * pieces[k]!));
  const days = parts.map((p) => p.days);
  const known = (values: readonly (number | null)[]): values is number[] => !values.includes(null);
  return {
    price: known(prices) ? prices.reduce((sum, p) => sum + p, 0) : null,
    days: known(days) ? Math.max(0, ...days) : null,
  };
}

/** Nearer than this no prediction tells apart, mm. */
const ALIKE = 3;

/** A way that cannot be built as it is: told with its reason, behind all that can. */
const unfit = (way: SolvedWay): boolean => way.checks.some(({ state }) => state === 'does not fit' || state === 'stop');

/** What can be built first, then the nearest to the wish, of those equally near the one with fewer parts, then the cheaper. */
export const bestFirst = (p: SolvedWay, q: SolvedWay): number =>
  Number(unfit(p)) - Number(unfit(q)) ||
  Math.max(0, Math.abs(p.off) - ALIKE) - Math.max(0, Math.abs(q.off) - ALIKE) ||
  p.parts.length - q.parts.length ||
  (p.price ?? Infinity) - (q.price ?? Infinity) ||
  (p.id < q.id ? -1 : 1);
