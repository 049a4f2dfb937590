import { CoreError } from '../../errors';
import { stressBudget, type LeafBudget } from '../../mechanics/leafpack/stress';
import { type StressLine } from '../../mechanics/leafpack/half';
import {
  rateOnRollers,
  rollerForces,
  type EyeForces,
  type PackShape,
  type PackSolver,
} from '../../mechanics/leafpack/solve';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from './input';
import { type Side } from '../../vehicle/side';
import { LeafSideModel } from './sideModel';
import { sideRate } from './sideState';
import { drawPack, inVehicle, rearOf, type PackDrawing, type Point } from './elevation';
import { central } from '../../prediction/lines';
import { taught } from './springFit';
import { drawLeafAxle, isTurned } from './turned';

/** In the vehicle under its U-bolts, or on the bench held by the centre bolt on free rollers. */
export type Where = 'installed' | 'bench';

/** One spring under one load, for drawing and reading off. Axes: fixed eye at (0, 0), x rearward, y up, mm. */
export interface SpringView extends PackDrawing {
  load: number;
  arch: number;
  /** N/mm: on seat height in the vehicle, on arch on the bench. */
  rate: number;
  /** Frame above the hub against the base state, mm; null on the bench. */
  height: number | null;
  /** The shackle is at the front. */
  turned?: true;
  frontEye: Point;
  rearEye: Point;
  pivot: Point | null;
  /** Slope of the pad in its place, rad. */
  pad?: number;
  seat: Point;
  seatTilt: number;
  stress: StressLine[];
  budget: LeafBudget[];
  /** Half-width of the friction band, N of load. */
  frictionHalf: number;
}

/** A state that does not exist is named, with what gives way. */
export type SpringAnswer = SpringView | { load: number; refused: string };

/** One side's spring as it is and as planned, kept warm to be asked for any load. */
export class SpringUnderLoad {
  private readonly drawn: DrawnInput;
  private readonly model: LeafSideModel;
  private readonly base: number;
  /** Where each build last settled on the bench. */
  private readonly start = new Map<readonly DrawnChange[], PackShape>();
  private readonly unchanged: readonly DrawnChange[] = [];

  /** @throws CoreError when the side's spring is not known or its readings contradict one another */
  constructor(input: LeafAxleInput, side: Side) {
    this.drawn = drawLeafAxle(taught(input, side).input, central);
    this.model = new LeafSideModel(this.drawn, side);
    if (!this.model.hasSpring)
      throw new CoreError('bad-input', `sides.${side}.spring`, 'arch and load of this side are not known');
    this.base = this.drawn.sides[side].spring!.load;
  }

  /** @param load N on this spring, 0 to 1e6 */
  at(load: number, where: Where): { old: SpringAnswer; built: SpringAnswer | null } {
    const { changes } = this.drawn;
    return {
      old: this.view(this.unchanged, load, where),
      built: changes.length > 0 ? this.view(changes, load, where) : null,
    };
  }

  /** What a drawing must hold so that it can stand still while the load goes from `least` to `most` N, mm. */
  reach(least: number, most: number, where: Where): { left: number; right: number; top: number; bottom: number } {
    const views = [least, 0, this.base, most]
      .flatMap((load) => Object.values(this.at(load, where)))
      .filter((answer): answer is SpringView => answer !== null && !('refused' in answer));
    const points = views.flatMap((v) => [
      v.frontEye,
      v.rearEye,
      ...(v.pivot ? [v.pivot] : []),
      ...v.leaves.flatMap((leaf) => leaf.points),
    ]);
    const across = points.map((p) => p.x);
    const up = points.map((p) => p.y);
    return { left: Math.min(...across), right: Math.max(...across), top: Math.max(...up), bottom: Math.min(...up) };
  }

  private view(changes: readonly DrawnChange[], load: number, where: Where): SpringAnswer {
    try {
      return where === 'installed' ? this.installed(changes, load) : this.onBench(changes, load);
    } catch (error) {
      if (error instanceof CoreError && error.code !== 'bad-input') return { load, refused: error.message };
      throw error;
    }
  }

  private installed(changes: readonly DrawnChange[], load: number): SpringView {
    const side = this.model.state(changes, load - this.base);
    const { solver, state, linkage } = side.spring!;
    const { shape, forces, seat, seatTilt, rearEye } = state;
    const view: SpringView = {
      ...viewOf(solver, shape, forces, seat, seatTilt, sideRate(side.spring!) + (side.helper?.rate ?? 0), load),
      height: side.rise - this.model.state(this.unchanged, 0).rise,
      rearEye,
      ...rearOf(linkage),
    };
    return isTurned(this.drawn) ? turnedView(view) : view;
  }

  private onBench(changes: readonly DrawnChange[], load: number): SpringView {
    const solver = this.model.onBench(changes)!;
    const shape = solver.onRollers(load, this.start.get(changes));
    this.start.set(changes, shape);
    const view = benchView(solver, load, shape);
    return isTurned(this.drawn) ? turnedView(view) : view;
  }
}

/** A view of a spring whose shackle is at its front, turned back into the vehicle. */
function turnedView(view: SpringView): SpringView {
  const lines = view.stress.map(({ s, stress, ...line }) => ({
    ...line,
    s: s.toReversed().map((at) => -at),
    stress: stress.toReversed(),
  }));
  return { ...inVehicle(view), stress: lines, budget: stressBudget(lines) };
}

function viewOf(
  solver: PackSolver,
  shape: PackShape,
  forces: EyeForces,
  seat: Point,
  seatTilt: number,
  rate: number,
  load: number,
) {
  const stress = solver.stressLines(forces, shape);
  return {
    ...drawPack(solver, shape, seat, seatTilt),
    load,
    arch: shape.arch,
    rate,
    frontEye: { x: 0, y: 0 },
    seat,
    seatTilt,
    stress,
    budget: stressBudget(stress),
    frictionHalf: solver.frictionHalfBand(forces, shape, rate),
  };
}

/** A pack on free rollers, held by its centre bolt only. @param shape as solved under this load, N */
export function benchView(solver: PackSolver, load: number, shape: PackShape): SpringView {
  const seat = { x: shape.frontArm, y: -shape.arch };
  const rate = rateOnRollers(solver, load, shape);
  return {
    ...viewOf(solver, shape, rollerForces(load, shape), seat, shape.seatTilt, rate, load),
    height: null,
    rearEye: { x: shape.eyeDistance, y: 0 },
    pivot: null,
  };
}
