import { type Estimate } from '../../estimate/estimate';
import { type Side } from '../../vehicle/side';
import { type AxleBase } from '../kind';

/** The one spring across, as measured or from its maker, mm; its leaves are alike. */
export interface CrossSpring {
  leaves: number;
  /** Of them as long as the main leaf, itself counted. */
  full: number;
  width: Estimate;
  /** Of one leaf. */
  thickness: Estimate;
  /** Half length of the shortest leaf; between it and the main leaf they go down in even steps. */
  shortest: Estimate;
  /** Rate over the one the leaf model solves from the sizes. */
  rateFactor: Estimate;
}

/** One half of the spring under its wheel, in the base load state. */
export interface CrossSide {
  /** N. */
  load: Estimate;
  /** Along the main leaf from the centre bolt to the eye, mm. */
  half: Estimate;
  /** Main leaf's lower face at the clamp straight down to the eye's centre, mm. */
  drop: Estimate;
  /** The body read again under another load: N more on this half, and how much lower it stood, mm. */
  second: { extra: Estimate; lower: Estimate } | null;
}

/** What stands each wheel up besides the spring's end: an upper arm, mm and rad. */
export interface UprightInput {
  arm: Estimate;
  /** Outer end above its pivot. */
  slope: Estimate;
  kingpin: Estimate;
}

export type CrossChange =
  /** Another spring; `free` like `drop`, with nothing on it. */
  | { kind: 'crossSpring'; spring: CrossSpring; half: Estimate; free: Estimate; used: boolean }
  /** Spindles whose wheels stand lower on their kingpins by so much, each side by its own. */
  | { kind: 'spindles'; left: Estimate; right: Estimate }
  /** A beam whose wheels stand lower by so much. */
  | { kind: 'dropAxle'; by: Estimate };

/** An axle on one leaf spring across, clamped to the frame in its middle. */
export interface CrossAxleInput extends AxleBase {
  schemaVersion: 2;
  kind: 'transverseLeaf';
  spring: CrossSpring | null;
  /** Which leaf is broken through at the bolt, counted from the main leaf as 1; null where none is. */
  broken: number | null;
  /** Along the spring, mm. */
  clamp: Estimate;
  /** Share of the clamp that keeps the leaves from bending, 0–1. */
  inactive: Estimate;
  /** Between the leaves. */
  friction: Estimate;
  /** 'beam' where a rigid axle joins both ends: no camber to be gained; null where nobody looked. */
  upright: UprightInput | 'beam' | null;
  sides: Record<Side, { height: Estimate | null; spring: CrossSide | null }>;
  changes: CrossChange[];
}
