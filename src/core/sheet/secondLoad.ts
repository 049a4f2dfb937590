import { type Estimate } from '../estimate/estimate';
import { GRAVITY } from '../material/steel';
import { type Side } from '../vehicle/side';
import { type SheetState } from './reading';

/** The body read again under another load: how much more of it each side carries, N, and how much lower it stood, mm. */
export interface SecondLoad {
  extra: Estimate;
  lower: Estimate;
}

/** Less than this on the axle says nothing of a rate, kg. Chosen. */
const LEAST = 10;

/**
 * The height of a side in the first other load state that has one. null where nobody read it again.
 * @param added of a state on this axle, kg
 */
export function secondLoadOf(
  sheet: { states: readonly SheetState[] },
  read: (at: { point: 'hubToLip'; side: Side; stateId?: string }) => Estimate | undefined,
  side: Side,
  added: (state: SheetState) => Estimate,
): SecondLoad | null {
  const before = read({ point: 'hubToLip', side });
  if (!before) return null;
  for (const state of sheet.states.slice(1)) {
    const then = read({ point: 'hubToLip', side, stateId: state.id });
    const mass = added(state);
    if (!then || Math.abs(mass.value) < LEAST) continue;
    const each = GRAVITY / 2;
    return {
      extra: { value: mass.value * each, half90: mass.half90 * each, origin: 'measured' },
      lower: { value: before.value - then.value, half90: Math.hypot(before.half90, then.half90), origin: 'measured' },
    };
  }
  return null;
}
