import { type Estimate } from '../../estimate/estimate';
import { type Side } from '../../vehicle/side';
import { type AxleBase } from '../kind';

/** Two axles close together: joined by a rocker between their springs, or each on slippers for itself. */
export const TANDEM_KINDS = ['tandemEqualizer', 'tandemSlipper'] as const;
export type TandemKind = (typeof TANDEM_KINDS)[number];

/** One of the four springs, as measured or from its maker, mm. */
export interface PairSpring {
  leaves: number;
  /** Of them as long as the main leaf, itself counted. */
  full: number;
  width: Estimate;
  /** Of one leaf. */
  thickness: Estimate;
  /** Along the main leaf from the centre bolt: to the eye at its own hanger, and to its inner end. */
  outer: Estimate;
  inner: Estimate;
  /** Rate over the one of the handbook. */
  rateFactor: Estimate;
}

/** What one side's two springs were found to do in the base load state. */
export interface PairSide {
  /** On both springs together, N. */
  load: Estimate;
  /** Line from end to end down to the top face of the main leaf at the bolt, mm. */
  arch: { front: Estimate; rear: Estimate };
  /** The frame read again under another load: N more on this side, and how much lower it stood, mm. */
  second: { extra: Estimate; lower: Estimate } | null;
}

/** Rocker and shackles between the inner ends, mm and rad. */
export interface RockerInput {
  front: Estimate;
  rear: Estimate;
  /** Its pins below its pivot; negative above. */
  below: Estimate;
  /** Shackles leaning, positive where the lower end stands towards its own axle. */
  lean: { front: Estimate; rear: Estimate };
  shackle: Estimate;
  /** As it stands, front pin up positive. */
  tilt: Estimate;
  /** Until it touches, either way; null where nobody tried. */
  stop: Estimate | null;
}

export type TandemChange =
  /** Four other springs; `free` like `arch`, with nothing on it. */
  | { kind: 'springs'; spring: PairSpring; free: Estimate; used: boolean }
  | { kind: 'shackle'; length: Estimate }
  | { kind: 'rocker'; front: Estimate; rear: Estimate; below: Estimate }
  /** Slippers in the place of the rocker, or other holes for them: frame’s edge down to the face the spring bears on. */
  | { kind: 'slipper'; drop: Estimate }
  | { kind: 'riser'; height: Estimate }
  /** The springs from under the axle to over it; `height` of the new perch. */
  | { kind: 'overAxle'; height: Estimate }
  /** Coupling higher by, mm. */
  | { kind: 'hitch'; by: Estimate };

/** Two leaf-sprung axles that stand as one. */
export interface TandemAxleInput<K extends TandemKind = TandemKind> extends AxleBase {
  schemaVersion: 2;
  kind: K;
  arrangement: 'over' | 'under';
  spring: PairSpring | null;
  /** Of each half, kept from bending by the seat, mm. */
  inactive: Estimate;
  /** Between the leaves. */
  friction: Estimate;
  spacing: Estimate;
  /** null where each axle stands on its own slipper. */
  rocker: RockerInput | null;
  /** Frame’s lower edge down to the spring’s ends, mm. */
  drop: { outer: Estimate; inner: Estimate };
  /** Of the frame, nose down positive, rad. */
  pitch: Estimate;
  /** Share of the load on the front axle as it stands, 0–1, where no rocker sets it. */
  share: Estimate;
  /** Coupling to the middle of the two axles, mm. */
  hitchReach: number;
  /** Both axles with their wheels, kg. */
  unsprung: Estimate;
  tube: Estimate;
  perch: Estimate;
  /** What one wheel may carry by its tyre, kg; null where nobody looked. */
  wheelLimit: number | null;
  sides: Record<Side, { height: Estimate | null; spring: PairSide | null }>;
  changes: TandemChange[];
}
