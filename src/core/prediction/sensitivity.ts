import { CoreError } from '../errors';
import { Z90, type Estimate } from '../estimate/estimate';
import { estimatesOf } from '../estimate/tree';
import { type KindTypes, type SuspensionKind, type Unseen } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { type Lead } from './branches';
import { type LedgerLine } from './ledger';
import { central, linesOf } from './lines';

/** What one input's own doubt does to a height. */
export interface Contribution {
  path: string;
  /** Effect of the input's own 90 % half-width on the height, mm. */
  effect: number;
  origin: Estimate['origin'];
}

/** Per load state: the sum of squared effects on every ledger line, mm², and every input by its effect on the total. */
export interface Effects {
  squares: number[][];
  contributions: Contribution[][];
}

const settleLikeliest = <D>({ may }: Unseen<D>, drawn: D): D =>
  may.reduce((best, one) => (one.chance > best.chance ? one : best)).settle(drawn);

/**
 * First-order effects: one input at a time moved by its half-width, and the spread of every unseen thing over what it may be, on a
 * coarser model; only the difference to the same model's middle counts.
 * @param lead the branch that is solved exactly
 * @param lines of the side in each state, for their number @param ranked false answers nothing moved
 */
export function* effectsOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  { branch, drawn }: Pick<Lead<T>, 'branch' | 'drawn'>,
  side: Side,
  lines: readonly LedgerLine<T['line']>[][],
  ranked: boolean,
): Generator<undefined, Effects> {
  const squares = lines.map((ledger) => ledger.map(() => 0));
  const contributions: Contribution[][] = lines.map(() => []);
  if (!ranked) return { squares, contributions };
  const unseen = kind.unseen(input, side);
  const likeliest = (variant: T['drawn'], but: Unseen<T['drawn']>) =>
    unseen.reduce((settled, one) => (one === but ? settled : settleLikeliest(one, settled)), variant);
  let coarse = kind.model(drawn, side, 'difference');
  const valuesOf = (variant: T['drawn']): number[][] | null => {
    try {
      coarse = kind.model(variant, side, 'difference', coarse);
      return linesOf(kind, variant, coarse, side, lines.length).map((ledger) => ledger.map(({ value }) => value));
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      // What cannot stand says nothing here: the band tells how many do not. The model it was made from is spent.
      coarse = kind.model(drawn, side, 'difference');
      return null;
    }
  };
  const middle = linesOf(kind, drawn, coarse, side, lines.length).map((ledger) => ledger.map(({ value }) => value));
  /** @param spread of a ledger line by what it is worth in each variant */
  const count = (path: string, origin: Estimate['origin'], variants: number[][][], spread: (v: number[]) => number) => {
    middle.forEach((ledger, k) => {
      const effects = ledger.map((_, j) => spread(variants.map((variant) => variant[k]![j]!)));
      effects.forEach((effect, j) => {
        squares[k]![j]! += effect ** 2;
      });
      contributions[k]!.push({ path, origin, effect: effects.at(-1)! });
    });
  };
  const other: Side = side === 'left' ? 'right' : 'left';
  for (const { path, estimate } of estimatesOf(input)) {
    if (estimate.half90 === 0 || path === 'tyreRate' || path === 'lipOverBase' || path.startsWith(`sides.${other}`))
      continue;
    const variant = kind.draw(input, (e, p) => (p === path ? e.value + e.half90 : e.value));
    const moved = valuesOf(branch.settle(variant));
    if (moved) count(path, estimate.origin, [middle, moved], ([at, off]) => Math.abs(off! - at!));
    yield;
  }
  for (const one of unseen) {
    const ways = one.may.flatMap(({ chance, settle }) => {
      const values = valuesOf(settle(likeliest(kind.draw(input, central), one)));
      return values ? [{ chance, values }] : [];
    });
    const whole = ways.reduce((sum, { chance }) => sum + chance, 0);
    const mean = (v: number[]) => v.reduce((sum, x, i) => sum + (ways[i]!.chance / whole) * x, 0);
    const variants = ways.map(({ values }) => values);
    count(one.path, 'assumed', variants, (v) => Z90 * Math.sqrt(mean(v.map((x) => (x - mean(v)) ** 2))));
    yield;
  }
  for (const ranking of contributions) ranking.sort((p, q) => q.effect - p.effect);
  return { squares, contributions };
}
