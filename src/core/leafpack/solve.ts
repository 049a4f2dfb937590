import { CoreError, requireNumber } from '../errors';
import { HalfPack, type EndForce, type HalfState } from './half';
import { checkPack, type Pack } from './pack';

/** Forces of the frame on the two eyes, resolved along and across the line through the eye centres, N. */
export interface EyeForces {
  /** Across the eye line, towards the leaf: what flattens the pack. */
  front: number;
  rear: number;
  /** Along the eye line, pulling the eyes apart (+) or pushing them together (−). */
  tension: number;
}

/** The pack's shape in its own axes, mm and rad. */
export interface PackShape {
  front: HalfState;
  rear: HalfState;
  /** Arch from the eye line to the main leaf's mid-surface at the pin, mm; positive with the eyes above. */
  arch: number;
  /** Straight distance between eye centres, mm. */
  eyeDistance: number;
  /** Along the eye line from each eye to the foot of the pin, mm. */
  frontArm: number;
  rearArm: number;
  /** Seat against the eye line, rad; positive when the rear of the seat stands higher. */
  seatTilt: number;
}

/** Movement of the eyes between passes that counts as none, mm. */
export const EXACT = 1e-6;
/** The same for one of many random variants, where a micrometre is nothing. */
export const ROUGH = 1e-3;
const PASSES = 80;

/** Arch, eye distance, arms and seat tilt of two solved halves. */
function shapeOf(front: HalfState, rear: HalfState): PackShape {
  const across = rear.eye.x + front.eye.x;
  const rise = rear.eye.y - front.eye.y;
  const distance = Math.hypot(across, rise);
  const cos = across / distance;
  const sin = rise / distance;
  return {
    front,
    rear,
    arch: front.eye.y * cos + front.eye.x * sin,
    eyeDistance: distance,
    frontArm: front.eye.x * cos - front.eye.y * sin,
    rearArm: rear.eye.x * cos + rear.eye.y * sin,
    seatTilt: -Math.atan2(rise, across),
  };
}

/** Resolves eye forces into the seat's axes. */
function endForces(forces: EyeForces, seatTilt: number): { front: EndForce; rear: EndForce } {
  const cos = Math.cos(seatTilt);
  const sin = Math.sin(-seatTilt);
  return {
    front: { down: forces.front * cos + forces.tension * sin, outward: forces.tension * cos - forces.front * sin },
    rear: { down: forces.rear * cos - forces.tension * sin, outward: forces.tension * cos + forces.rear * sin },
  };
}

/** A pack with both halves prepared; keeps contact sets warm between solves. */
export class PackSolver {
  private readonly front: HalfPack;
  private readonly rear: HalfPack;

  /**
   * @param like a similar solved pack: its contact sets are the first guess (speed only, never the answer)
   * @param settled movement of the eyes between passes that counts as none, mm
   * @throws CoreError `bad-input` when the pack cannot exist
   */
  constructor(
    private current: Pack,
    like?: PackSolver,
    readonly settled: number = EXACT,
  ) {
    checkPack(current);
    this.front = new HalfPack(current, 'front', like?.front);
    this.rear = new HalfPack(current, 'rear', like?.rear);
  }

  get pack(): Pack {
    return this.current;
  }

  /** Gives the same leaves other free curvatures, 1/mm, main leaf first. Contact matrices and sets stay warm. */
  recurve(curvatures: readonly number[]): void {
    const leaves = this.current.leaves.map((leaf, i) => ({ ...leaf, curvature: curvatures[i]! }));
    this.current = { ...this.current, leaves };
    checkPack(this.current);
    this.front.recurve(curvatures);
    this.rear.recurve(curvatures);
  }

  /** One pass: shape under eye forces with lever arms of the last shape. */
  private pass(forces: EyeForces, last?: PackShape): PackShape {
    const ends = endForces(forces, last?.seatTilt ?? 0);
    return shapeOf(this.front.solve(ends.front, last?.front), this.rear.solve(ends.rear, last?.rear));
  }

  /**
   * Shape under forces that may depend on the shape; repeated until it no longer moves.
   * @throws CoreError `no-equilibrium` when the shape runs away
   */
  settle(forcesFor: (shape: PackShape | undefined) => EyeForces, start?: PackShape): PackShape {
    let shape = start ?? this.pass(forcesFor(undefined));
    for (let k = 0; k < PASSES; k++) {
      const next = this.pass(forcesFor(shape), shape);
      const moved = Math.max(
        Math.abs(next.front.eye.x - shape.front.eye.x),
        Math.abs(next.front.eye.y - shape.front.eye.y),
        Math.abs(next.rear.eye.x - shape.rear.eye.x),
        Math.abs(next.rear.eye.y - shape.rear.eye.y),
      );
      shape = next;
      if (!Number.isFinite(moved) || next.eyeDistance < 40) break;
      if (moved < this.settled) return next;
    }
    throw new CoreError('no-equilibrium', 'load', `no equilibrium found in ${PASSES} passes`);
  }

  /** On rollers: reactions across the eye line. @param load N on the seat, across the eye line */
  onRollers(load: number, start?: PackShape): PackShape {
    requireNumber('load', load, -1e6, 1e6);
    return this.settle((shape) => rollerForces(load, shape ?? this.flatArms()), start);
  }

  private flatArms(): { frontArm: number; rearArm: number } {
    const main = this.pack.leaves[0]!;
    return { frontArm: main.front, rearArm: main.rear };
  }

  /** First guess of the arms before any shape is known. */
  initialArms(): { frontArm: number; rearArm: number } {
    return this.flatArms();
  }

  /** Peak bending stress of each leaf, MPa, from the free leaf, nip included. */
  peakStress(forces: EyeForces, shape: PackShape): number[] {
    const ends = endForces(forces, shape.seatTilt);
    const front = this.front.peakStress(ends.front, shape.front, this.pack.youngs);
    const rear = this.rear.peakStress(ends.rear, shape.rear, this.pack.youngs);
    return front.map((p, i) => Math.max(p, rear[i]!));
  }

  /**
   * Half-width of the friction band in newtons of seat load: Σ μ N |ds/d(arch)|, with the slip of both halves.
   * @param rate tangent rate at this state, N/mm
   */
  frictionHalfBand(shape: PackShape, rate: number): number {
    const span = shape.frontArm + shape.rearArm;
    const slip =
      (this.front.slipPerNewton(shape.front) * shape.rearArm + this.rear.slipPerNewton(shape.rear) * shape.frontArm) /
      span;
    return this.pack.friction * slip * rate;
  }

  /** Where leaves press on one another on one side of the pin. */
  contacts(end: 'front' | 'rear', shape: PackShape) {
    return this[end].contacts(shape[end]);
  }

  /** Curve of a leaf on both sides of the pin in a solved shape. */
  leafCurves(leaf: number, shape: PackShape) {
    return { front: this.front.leafCurve(leaf, shape.front), rear: this.rear.leafCurve(leaf, shape.rear) };
  }
}

/** Reactions of two rollers: no moment on the seat. */
export function rollerForces(load: number, arms: { frontArm: number; rearArm: number }): EyeForces {
  const span = arms.frontArm + arms.rearArm;
  return { front: (load * arms.rearArm) / span, rear: (load * arms.frontArm) / span, tension: 0 };
}

/** Loads on both sides of a state for a difference quotient; one-sided at zero load, where the pack has a kink. */
export function loadStep(load: number): { less: number; more: number } {
  const step = Math.max(1, Math.abs(load) * 1e-3);
  return { less: load >= 0 ? Math.max(0, load - step) : load - step, more: load + step };
}

/** Tangent rate of the arch on rollers, dF/d(arch) counted positive, N/mm, by difference of two equilibria. */
export function rateOnRollers(solver: PackSolver, load: number, at: PackShape): number {
  const { less, more } = loadStep(load);
  return (more - less) / (solver.onRollers(less, at).arch - solver.onRollers(more, at).arch);
}
