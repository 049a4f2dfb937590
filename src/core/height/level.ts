import { type Side } from '../vehicle/side';
import { ledgerValue } from '../prediction/ledger';
import { type LeafPrediction } from '../suspension/longitudinalLeaf/kind';

/** How the vehicle stands across and along, in one load state, mm. */
export interface LevelState {
  id: string;
  /** Left less right at the arch lips; null when a side's height is not known. */
  lean: { before: number; after: number; half90: number } | null;
  /** Rear less front at the arch lips from the ground; null when it cannot be told in this state. */
  rake: { before: number; after: number; half90: number } | null;
}

const SIDES: readonly Side[] = ['left', 'right'];

/**
 * Lean and rake before and after the work. Rake is told in the state it was measured in only: how the other axle goes down under a
 * load is not known here, and nothing is invented for it.
 * @param rakeBefore rear less front in the base state, mm; null when it was not measured
 * @param position which axle is worked on
 */
export function levelOf(
  prediction: LeafPrediction,
  rakeBefore: number | null,
  position: 'front' | 'rear',
): LevelState[] {
  const { left, right } = prediction.sides;
  const some = left ?? right;
  if (!some) return [];
  return some.states.map((state, k): LevelState => {
    const [l, r] = [left?.states[k], right?.states[k]];
    const heights = [l?.beforeHere, l?.after, r?.beforeHere, r?.after];
    const lean =
      l && r && heights.every((h) => h !== null && h !== undefined)
        ? {
            before: l.beforeHere! - r.beforeHere!,
            after: l.after! - r.after!,
            // Each side is read and solved on its own; what both share falls out, so this is on the safe side.
            half90: Math.hypot(l.firstOrder, r.firstOrder),
          }
        : null;
    const changes = SIDES.flatMap((side) => {
      const there = prediction.sides[side]?.states[k];
      return there ? [{ change: there.change - ledgerValue(there.ledger, 'load'), half: there.firstOrder }] : [];
    });
    const mean = changes.reduce((sum, c) => sum + c.change, 0) / changes.length;
    const rake =
      k === 0 && rakeBefore !== null
        ? {
            before: rakeBefore,
            after: rakeBefore + (position === 'rear' ? mean : -mean),
            half90: Math.max(...changes.map((c) => c.half)),
          }
        : null;
    return { id: state.id, lean, rake };
  });
}

/** How much lower this axle stands with a load state aboard than without, mm; after the work. null without a spring. */
export function sinksBy(prediction: LeafPrediction, stateId: string): number | null {
  const drops = SIDES.flatMap((side) => {
    const states = prediction.sides[side]?.states;
    const there = states?.find((s) => s.id === stateId);
    return states?.[0] && there ? [states[0].change - there.change] : [];
  });
  return drops.length === 0 ? null : drops.reduce((sum, d) => sum + d, 0) / drops.length;
}

/** Angle the body turns by when one axle rises, rad; nose down positive when the rear does. @param wheelbase mm */
export const bodyPitch = (change: number, wheelbase: number): number => Math.atan(change / wheelbase);
