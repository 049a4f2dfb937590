import { type Estimate } from '../../estimate/estimate';
import { type Side } from '../../vehicle/side';
import { type AxleBase } from '../kind';

/** One rubber block between frame and carrier. */
export interface ShearBlock {
  /** In shear, N/mm. */
  rate: Estimate;
  /** Rubber from plate to plate, mm. */
  thick: Estimate;
}

/** The leaf that carries the axle between its fixed eye and the carrier, mm; its leaves are alike. */
export interface CarrierLeaf {
  leaves: number;
  /** Of them from end to end. */
  full: number;
  width: Estimate;
  thickness: Estimate;
  /** Rate over the one its sizes say. */
  rateFactor: Estimate;
}

/** One side in the base load state. */
export interface ShearSide {
  /** N. */
  load: Estimate;
  /** Carrier's plate above the frame's, mm; negative below it. */
  offset: Estimate;
  /** The body read again under another load: N more on this side, and how much lower it stood, mm. */
  second: { extra: Estimate; lower: Estimate } | null;
}

export type ShearChange =
  /** Other blocks; `offset` like the sides', with nothing on it. */
  | { kind: 'shearBlock'; block: ShearBlock; offset: Estimate; used: boolean }
  /** The carrier bolted to its block lower by so much; negative higher. */
  | { kind: 'blockHoles'; by: Estimate };

/** An axle on leaves whose noses stand on rubber blocks in shear. */
export interface ShearAxleInput extends AxleBase {
  schemaVersion: 2;
  kind: 'rubberShear';
  block: ShearBlock | null;
  leaf: CarrierLeaf | null;
  /** From the fixed eye to the axle and from there to the carrier's bolt, mm. */
  arms: { fixed: Estimate; nose: Estimate } | null;
  /** Half of what is lost in one swing, as a share of the load. */
  hysteresis: Estimate;
  sides: Record<Side, { height: Estimate | null; spring: ShearSide | null }>;
  changes: ShearChange[];
}
