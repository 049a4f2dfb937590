import { CoreError } from '../../errors';
import { clampHalf } from '../../mechanics/leafpack/pack';
import { type PackShape, type PackSolver } from '../../mechanics/leafpack/solve';
import { nominalStress, packLife } from '../../mechanics/leafpack/stress';
import { type SpringFigures } from '../kind';
import { elevationOf, type Elevation } from './elevation';
import { sideRate, type SideState } from './sideState';

/** Swing of the load on a road about its standing value, as a share, for an indication of life. Assumed. */
export const SWING = 0.25;

/** What a leaf spring does in one load state of one build. */
export interface LeafFigures extends SpringFigures {
  arch: number;
  /** null on a pad. */
  shackleAngle: number | null;
  /** Largest working stress of each leaf, outside the seat, MPa. */
  peakStress: number[];
  /** What the clamp bends into each leaf within the seat, MPa. Not in predictions of older cores. */
  clampStress?: number[];
  /** By load and sizes alone, MPa. Not in predictions of older cores. */
  nominalStress?: number[];
  elevation: Elevation;
  /** Swings of the load by a quarter of itself until the worst leaf cracks; null where a swing finds no state. */
  life: ReturnType<typeof packLife> | null;
}

/** Nominal stress of every leaf of a pack as it stands. */
export const nominalOf = ({ pack }: PackSolver, { frontArm, rearArm }: PackShape, load: number): number[] =>
  nominalStress(pack.leaves, load, { front: frontArm, rear: rearArm }, clampHalf(pack.clamp));

/** @param at the same build under another load, N; null leaves out the life @returns null without a spring */
export function figuresOf(side: SideState, at: ((load: number) => SideState) | null): LeafFigures | null {
  if (!side.spring) return null;
  const { solver, state, load } = side.spring;
  const rate = sideRate(side.spring);
  return {
    arch: state.shape.arch,
    rate,
    frequency: null,
    shackleAngle: state.shackleAngle,
    load,
    peakStress: solver.peakStress(state.forces, state.shape),
    clampStress: solver.clampStress(),
    nominalStress: nominalOf(solver, state.shape, load),
    frictionHeight: solver.frictionHalfBand(state.forces, state.shape, rate) / rate,
    elevation: elevationOf(side)!,
    life: at && lifeOf(at, load),
  };
}

function lifeOf(at: (load: number) => SideState, load: number): LeafFigures['life'] {
  const stress = (share: number) => {
    const { solver, state } = at(share * load).spring!;
    return solver.stressLines(state.forces, state.shape);
  };
  try {
    return packLife(stress(1 - SWING), stress(1 + SWING));
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
