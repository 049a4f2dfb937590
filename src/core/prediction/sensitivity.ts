import { type Estimate } from '../estimate/estimate';
import { estimatesOf } from '../estimate/tree';
import { type KindTypes, type SuspensionKind } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { type LedgerLine } from './ledger';
import { linesOf } from './lines';

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

/**
 * First-order effects: one input at a time moved by its half-width, every discrete unknown turned over, on a coarser model; only the
 * difference to the same model's middle counts.
 * @param lines of the side in each state, for their number @param ranked false answers nothing moved
 */
export function* effectsOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  drawn: T['drawn'],
  side: Side,
  lines: readonly LedgerLine<T['line']>[][],
  ranked: boolean,
): Generator<void, Effects> {
  const squares = lines.map((ledger) => ledger.map(() => 0));
  const contributions: Contribution[][] = lines.map(() => []);
  if (!ranked) return { squares, contributions };
  let coarse = kind.model(drawn, side, 'difference');
  const middle = linesOf(kind, drawn, coarse, side, lines.length);
  const moved = function* (path: string, origin: Estimate['origin'], variant: T['drawn']) {
    coarse = kind.model(variant, side, 'difference', coarse);
    const shifted = linesOf(kind, variant, coarse, side, lines.length);
    shifted.forEach((now, k) => {
      now.forEach((line, j) => {
        squares[k]![j]! += (line.value - middle[k]![j]!.value) ** 2;
      });
      contributions[k]!.push({ path, origin, effect: Math.abs(now.at(-1)!.value - middle[k]!.at(-1)!.value) });
    });
    yield;
  };
  const other: Side = side === 'left' ? 'right' : 'left';
  for (const { path, estimate } of estimatesOf(input)) {
    if (estimate.half90 === 0 || path === 'tyreRate' || path.startsWith(`sides.${other}`)) continue;
    yield* moved(
      path,
      estimate.origin,
      kind.draw(input, (e, p) => (p === path ? e.value + e.half90 : e.value)),
    );
  }
  for (const { path, drawn: variant } of kind.otherwise(input, drawn, side)) yield* moved(path, 'assumed', variant);
  for (const ranking of contributions) ranking.sort((p, q) => q.effect - p.effect);
  return { squares, contributions };
}
