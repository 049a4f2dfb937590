import { type JobView } from '@/contracts/job';
import { type FiguresOf, type KindId, type PredictionOf, type StateOf } from '@/core/suspension/registry';
import { SIDES, type Side } from '@/core/vehicle/side';

/** An axle's answer in one load state, with the figures that it is drawn from. */
export interface Shown<K extends KindId> {
  view: JobView;
  prediction: PredictionOf<K>;
  side: Side;
  /** Which load state. */
  k: number;
  state: StateOf<K>;
  old: FiguresOf<K>;
  /** null without a plan. */
  built: FiguresOf<K> | null;
}

/** The side that is looked at, or the other one where it has no spring; null while nothing is solved. */
export function shownAt<K extends KindId>(
  view: JobView,
  prediction: PredictionOf<K> | null,
  { side, k, planned }: { side: Side; k: number; planned: boolean },
): Shown<K> | null {
  if (!prediction) return null;
  for (const one of [side, ...SIDES]) {
    const state = prediction.sides[one]?.states[k];
    if (state?.old)
      return { view, prediction, side: one, k, state, old: state.old, built: planned ? state.built : null };
  }
  return null;
}
