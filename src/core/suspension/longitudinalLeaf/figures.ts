import { CoreError } from '../../errors';
import { clampHalf } from '../../mechanics/leafpack/pack';
import { wrapStiffness } from '../../mechanics/linkage/installed';
import { type PackShape, type PackSolver } from '../../mechanics/leafpack/solve';
import { type StressLine } from '../../mechanics/leafpack/half';
import { nominalStress, packLife } from '../../mechanics/leafpack/stress';
import { type SpringFigures } from '../kind';
import { elevationOf, type Elevation } from './elevation';
import { sideRate, type HelperState, type SideState } from './sideState';

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
  /** What a helper spring beside the pack does; absent where none is planned. `load` and `rate` are then of both. */
  helper?: HelperState;
  /** Turn of the axle under a braking or driving torque on this side, rad per N·mm; absent where it was not asked for or finds no state. */
  wrap?: number;
  /** Swings of the load by a quarter of itself until the worst leaf cracks; null where a swing finds no state. */
  life: ReturnType<typeof packLife> | null;
  /** The same were every stress a share of what is solved, by that share. Not in predictions of older cores. */
  lifeBy?: { share: number; least: number; most: number }[];
}

/** Nominal stress of every leaf of a pack as it stands. */
export const nominalOf = ({ pack }: PackSolver, { frontArm, rearArm }: PackShape, load: number): number[] =>
  nominalStress(pack.leaves, load, { front: frontArm, rear: rearArm }, clampHalf(pack.clamp));

/** @param at the same build under another load, N; null leaves out the life @returns null without a spring */
export function figuresOf(side: SideState, at: ((load: number) => SideState) | null): LeafFigures | null {
  if (!side.spring) return null;
  const { solver, state, load, linkage } = side.spring;
  const { helper } = side;
  const packRate = sideRate(side.spring);
  const rate = packRate + (helper?.rate ?? 0);
  return {
    arch: state.shape.arch,
    rate,
    ...(helper && { helper }),
    frequency: null,
    shackleAngle: state.shackleAngle,
    load: load + (helper?.force ?? 0),
    ...stressesOf(solver.peakStress(state.forces, state.shape)),
    clampStress: solver.clampStress(),
    nominalStress: nominalOf(solver, state.shape, load),
    frictionHeight: solver.frictionHalfBand(state.forces, state.shape, packRate) / rate,
    elevation: elevationOf(side)!,
    ...(at ? lifeOf(at, load + (helper?.force ?? 0)) : { life: null }),
    ...(at && wrapOf(() => wrapStiffness(solver, linkage, load, state))),
  };
}

function wrapOf(stiffness: () => number): { wrap?: number } {
  try {
    return { wrap: 1 / stiffness() };
  } catch (error) {
    if (error instanceof CoreError) return {};
    throw error;
  }
}

const stressesOf = (peakStress: number[]) => ({ peakStress, highestStress: Math.max(...peakStress) });

/** Shares of the stress solved at which a life is told. */
const LIFE_SHARES = [0.7, 0.8, 0.9, 1, 1.1, 1.2, 1.35] as const;

function lifeOf(at: (load: number) => SideState, load: number): Pick<LeafFigures, 'life' | 'lifeBy'> {
  const stress = (share: number) => {
    const { solver, state } = at(share * load).spring!;
    return solver.stressLines(state.forces, state.shape);
  };
  try {
    const [light, heavy] = [stress(1 - SWING), stress(1 + SWING)];
    const times = (lines: StressLine[], share: number) =>
      lines.map((line) => ({ ...line, stress: line.stress.map((v) => v * share) }));
    const lifeBy = LIFE_SHARES.map((share) => {
      const { least, most } = packLife(times(light, share), times(heavy, share));
      return { share, least, most };
    });
    return { life: packLife(light, heavy), lifeBy };
  } catch (error) {
    if (error instanceof CoreError) return { life: null };
    throw error;
  }
}
