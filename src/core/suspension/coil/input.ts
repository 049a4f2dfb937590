import { type Estimate } from '../../estimate/estimate';
import { type CoilEnds } from '../../mechanics/coil/coil';
import { type Side } from '../../vehicle/side';
import { type AxleBase } from '../kind';

/** What coils carry: a beam that goes straight up, two beams or one that swing about pivots, or a damper inside the coil. */
export const COIL_KINDS = ['coilBeam', 'twinBeam', 'torsionBeam', 'coilOver'] as const;
export type CoilKind = (typeof COIL_KINDS)[number];

/** A coil as measured or from its maker, mm. */
export interface CoilInput {
  wire: Estimate;
  /** Outside diameter: what a caliper reads. */
  outside: Estimate;
  /** All turns, end to end. */
  turns: Estimate;
  /** Unknown is carried into the band. */
  ends: CoilEnds | 'unknown';
  /** null where nobody could lay it down free. */
  free: Estimate | null;
  /** Rate over the one computed from its sizes, once readings have taught it. */
  rateFactor?: Estimate;
}

/** What one side's coil was found to do in the base load state. */
export interface CoilSide {
  /** Load that the hub's place carries, N. */
  load: Estimate;
  /** Seat to seat, weight on, mm; null where it cannot be reached. */
  length: Estimate | null;
}

export type CoilChange =
  /** Another pair of coils in the place of the old one. `used` coils have settled. */
  | { kind: 'coil'; coil: CoilInput; used: boolean }
  /** Seat spacers after the work, mm; 0 = none. */
  | { kind: 'spacer'; height: Estimate }
  /** Lower seats moved up the unit, mm, each side by its own. */
  | { kind: 'perch'; left: Estimate; right: Estimate }
  /** Bushes of the pivots renewed: rubber held fast, or one that turns on its sleeve. */
  | { kind: 'pivotBush'; bush: PivotBushKind };

export const PIVOT_BUSHES = ['bonded', 'turns'] as const;
export type PivotBushKind = (typeof PIVOT_BUSHES)[number];

/** A beam or arm that carries the hub and swings about a pivot on the frame, mm. */
export interface SwingInput {
  arm: Estimate;
  /** Pivot above the hub as it stands. */
  rise: Estimate;
  /** Radius arm that holds a cross beam fore and aft; null where there is none, or nobody read it. */
  radius: Estimate | null;
}

/** An axle on coils. */
export interface CoilAxleInput<K extends CoilKind = CoilKind> extends AxleBase {
  schemaVersion: 2;
  kind: K;
  coil: CoilInput | null;
  /** Seat spacers now, mm. */
  spacer: Estimate;
  /** Way of the coil over the way of the hub: 1 upright on the axle, less where it leans or stands inboard on an arm. */
  ratio: Estimate;
  /** Absent where nothing swings. */
  swing?: SwingInput;
  /** Rubber of the pivots: shell outside, sleeve bore and length, mm; absent where nobody read it. */
  pivotBush?: { shell: number; sleeve: number; length: number };
  /** Coil seat to seat with its damper fully open, mm; absent where the damper stands apart. */
  open?: Record<Side, Estimate | null>;
  sides: Record<Side, { height: Estimate | null; spring: CoilSide | null }>;
  changes: CoilChange[];
}
