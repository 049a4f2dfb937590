import { type Estimate } from '../estimate/estimate';
import { GRAVITY } from '../material/steel';
import { type ChangeLine, type KindTypes, type Rising, type SuspensionKind } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { type LedgerLine } from './ledger';

/** The middle of an estimate. */
export const central = (estimate: Estimate): number => estimate.value;

/** Load on one spring beyond the base state's, N, in each of the first `count` load states. */
export const extraLoads = (drawn: { states: { extraMass: number }[] }, count: number): number[] =>
  drawn.states.slice(0, count).map((state) => (state.extraMass * GRAVITY) / 2);

/** Ledger lines of one side in each of the first `count` load states, without their bands; mm. */
export function linesOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  drawn: T['drawn'],
  model: Rising<T['change']>,
  side: Side,
  count: number,
): LedgerLine<T['line']>[][] {
  const base = model.rise([], 0);
  const changes = kind.changes(drawn);
  const alone = kind.lines(drawn, model);
  const sum = alone.reduce((s, line) => s + line.value, 0);
  const height = drawn.sides[side].height;
  return extraLoads(drawn, count).map((extra, k) => {
    const load = extra === 0 ? 0 : model.rise([], extra) - base;
    const total = model.rise(changes, extra) - base;
    const lines: ChangeLine<LedgerLine<T['line']>['kind']>[] = [
      ...(height === null ? [] : [{ kind: 'measured' as const, label: 'measured, as it stands', value: height }]),
      ...alone,
      ...(k > 0 ? [{ kind: 'load' as const, label: `load: ${drawn.states[k]!.name}`, value: load }] : []),
      { kind: 'together', label: 'acting together, rounding', value: total - sum - (k > 0 ? load : 0) },
      { kind: 'total', label: height === null ? 'height change' : 'will sit at', value: (height ?? 0) + total },
    ];
    return lines.map((line) => ({ ...line, half90: 0 }));
  });
}
