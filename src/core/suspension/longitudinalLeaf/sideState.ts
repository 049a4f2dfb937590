import { type PackSolver } from '../../mechanics/leafpack/solve';
import {
  installedRate,
  type InstalledState,
  type ShackleLinkage,
  type SlipperLinkage,
} from '../../mechanics/linkage/installed';
import { type Stack } from '../../mechanics/stack/stack';

/** One side of the axle in some build and load. Heights of the frame are relative, mm. */
export interface SideState {
  /** Frame above the hub, up to a constant of the vehicle, mm. */
  rise: number;
  aboveHub: number;
  stack: Stack;
  /** Absent when only the axle stack is known. */
  spring?: {
    solver: PackSolver;
    linkage: ShackleLinkage | SlipperLinkage;
    state: InstalledState;
    load: number;
    /** U-bolt spacing, mm. */
    seatLength: number;
    /** The spring hangs on its shackle at the front: what is solved is turned end for end. */
    turned: boolean;
  };
  /** What helps the pack from beside it; absent where nothing does. */
  helper?: HelperState;
}

/** A helper spring in one load state. */
export interface HelperState {
  /** N, on one side. */
  force: number;
  /** Pressed together from where it touches, mm; negative where it hangs clear. */
  pressed: number;
  stroke: number;
  /** N/mm. */
  rate: number;
}

/** Effective rate of a solved side, N/mm. */
export const sideRate = (spring: NonNullable<SideState['spring']>): number =>
  installedRate(spring.solver, spring.linkage, spring.load, spring.state);
