import { type Estimate } from '../../estimate/estimate';
import { type CoilEnds } from '../../mechanics/coil/coil';
import { type Side } from '../../vehicle/side';
import { type AxleBase } from '../kind';

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
  | { kind: 'spacer'; height: Estimate };

/** Coils on a beam axle. */
export interface CoilAxleInput extends AxleBase {
  schemaVersion: 2;
  kind: 'coilBeam';
  coil: CoilInput | null;
  /** Seat spacers now, mm. */
  spacer: Estimate;
  /** Way of the coil over the way of the hub: 1 upright on the axle, less where it leans or stands inboard on an arm. */
  ratio: Estimate;
  sides: Record<Side, { height: Estimate | null; spring: CoilSide | null }>;
  changes: CoilChange[];
}
