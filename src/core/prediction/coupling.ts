import { type AxleBase } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { atLips } from '../vehicle/roll';
import { type LedgerLine } from './ledger';

/** What of a side's prediction in one load state moves with the body. */
interface Told {
  ledger: LedgerLine[];
  before: number | null;
  beforeHere: number | null;
  after: number | null;
  change: number;
}

/**
 * The sides of an axle as the body joins them: every line of both ledgers moves both lips. Where only one side is told, or nothing is known
 * of the spans (inputs of an earlier core), each stands for itself.
 */
export function coupled<S extends Told, P extends { states: S[] }>(
  sides: Record<Side, (P & { states: S[] }) | null>,
  { lipOverBase }: Pick<AxleBase, 'lipOverBase'>,
): Record<Side, P | null> {
  const { left, right } = sides;
  if (!left || !right || !lipOverBase) return sides;
  const joined = (own: Side): P => {
    const [here, there] = own === 'left' ? [left, right] : [right, left];
    const move = (mine: number, other: number) =>
      atLips(own === 'left' ? { left: mine, right: other } : { left: other, right: mine }, lipOverBase.value)[own];
    const states = here.states.map((state: S, k): S => {
      const beside = there.states[k];
      if (!beside) return state;
      const change = move(state.change, beside.change);
      const load = (s: Told) => (s.before === null || s.beforeHere === null ? 0 : s.beforeHere - s.before);
      let sum = 0;
      const ledger = state.ledger.map((line) => {
        if (line.kind === 'measured' || line.kind === 'settling' || line.kind === 'together' || line.kind === 'total')
          return line;
        const twin = beside.ledger.filter((l) => l.kind === line.kind && l.label === line.label);
        const nth = state.ledger.filter((l) => l.kind === line.kind && l.label === line.label).indexOf(line);
        const value = move(line.value, twin[nth]?.value ?? 0);
        sum += value;
        return { ...line, value };
      });
      const before = state.before ?? 0;
      return {
        ...state,
        change,
        beforeHere: state.before === null ? null : state.before + move(load(state), load(beside)),
        after: state.after === null ? null : before + change,
        ledger: ledger.map((line) => {
          if (line.kind === 'together') return { ...line, value: change - sum };
          return line.kind === 'total' ? { ...line, value: before + change } : line;
        }),
      };
    });
    return { ...here, states };
  };
  return { ...sides, left: joined('left'), right: joined('right') };
}
