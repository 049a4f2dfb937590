import { JOINT_IDS, settledStage, type JointId } from '@/core/fastener/joints';
import { rechecksOf, type Recheck } from '@/core/followup/rechecks';
import { fitSettling, nextLook, type HeightOver, type Settled } from '@/core/followup/settling';
import { SIDES, type Side } from '@/core/vehicle/side';
import { type SettlingHeight } from './follow';
import { finalJoints } from './holds';
import { type AxleView } from './job';
import { orderOfWork } from './orderOfWork';

/** Joints that were undone: those the steps made final, and those that stand in the torque register. */
export function touchedJoints(view: AxleView): JointId[] {
  const steps = orderOfWork(view)?.steps ?? [];
  const made = new Set(steps.flatMap(({ operation }) => finalJoints(view, operation)));
  const stage = (joint: JointId) => view.torques.find((t) => t.joint === joint)?.stage;
  return JOINT_IDS.filter((joint) => stage(joint) !== 'notTouched' && (made.has(joint) || settledStage(stage(joint))));
}

/** Checks that the work on this axle sets. */
export const rechecksOfJob = (view: AxleView): Recheck[] => rechecksOf(touchedJoints(view));

/** Odometer at the first height after the work, km; null while nobody read it. */
export const drivenFrom = (view: AxleView): number | null => {
  const known = view.due.flatMap(({ fromKm }) => (fromKm === null ? [] : [fromKm]));
  return known.length === 0 ? null : Math.min(...known);
};

/** One side in one load state, read over distance. */
export interface SettlingLine {
  side: Side;
  stateId: string;
  point: SettlingHeight['point'];
  heights: (HeightOver & { person: string; at: string })[];
  fit: Settled;
  /** Where the next look tells most, km since the work; null when none does. */
  next: number | null;
}

/** A tape's own half-width, mm. Common practice. */
const TAPE = 2;

/** How each height has gone since the work, with what the ledger expected as prior; empty without a prediction or a height after. */
export function settlingOf(view: AxleView): SettlingLine[] {
  const from = drivenFrom(view);
  return SIDES.flatMap((side) =>
    view.states.flatMap((state): SettlingLine[] => {
      const after = view.outcomes.find((o) => o.side === side && o.stateId === state.id);
      if (!after) return [];
      const foretold = view.predictions.find((p) => p.id === after.predictionId);
      const expected = foretold?.ledgers
        .find((l) => l.side === side && l.stateId === state.id)
        ?.lines.find((l) => l.kind === 'settling');
      if (!expected) return [];
      const since = (km: number) => Math.max(0, km - (from ?? km));
      const later = view.settlingHeights.filter(
        (h) => h.side === side && h.stateId === state.id && h.point === after.point,
      );
      const heights = [
        { km: 0, height: after.measured, half90: TAPE, person: '', at: after.takenAt },
        ...later.map((h) => ({ km: since(h.km), height: h.value, half90: TAPE, person: h.person, at: h.readAt })),
      ].toSorted((p, q) => p.km - q.km);
      const prior = { value: expected.value, half90: Math.max(0.5, expected.half90) };
      return [
        {
          ...{ side, stateId: state.id, point: after.point, heights },
          fit: fitSettling(heights, prior),
          next: nextLook(heights, prior),
        },
      ];
    }),
  );
}
