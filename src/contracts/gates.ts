import { SIDES, type Side } from '@/core/vehicle/side';
import { type AxleView } from './job';

/** Before heights that the build may not start without: both sides in the state of the day, from the hub or from the ground. */
export function missingBeforeHeights(view: AxleView): Side[] {
  const base = view.states[0]?.id ?? null;
  return SIDES.filter(
    (side) =>
      !view.readings.some(
        (r) =>
          (r.point === 'hubToLip' || r.point === 'groundToLip') &&
          r.phase === 'before' &&
          r.side === side &&
          r.stateId === base,
      ),
  );
}
