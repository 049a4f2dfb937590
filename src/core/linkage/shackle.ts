import { CoreError, requireNumber } from '../errors';
import { loadStep, type EyeForces, type PackShape, type PackSolver } from '../leafpack/solve';

/** Frame side of a spring with a fixed front eye at (0, 0) and a shackle at the rear; x rearward, y up, mm. */
export interface ShackleLinkage {
  pivot: { x: number; y: number };
  /** Eye centre to pivot centre, mm. */
  length: number;
}

export interface InstalledState {
  shape: PackShape;
  forces: EyeForces;
  rearEye: { x: number; y: number };
  /** Main leaf's mid-surface at the pin, mm in frame axes. */
  seat: { x: number; y: number };
  /** Eye line against the frame, rad; positive when the rear eye stands higher. */
  eyeLine: number;
  /** Seat against the frame, rad; positive when the rear of the seat stands higher. */
  seatTilt: number;
  /** Between eye line towards the front eye and shackle, rad. */
  shackleAngle: number;
}

/** Pivot that puts the shackle at a measured angle to the eye line when the eyes are `eyeDistance` apart and level. */
export function pivotFromAngle(eyeDistance: number, length: number, angle: number): ShackleLinkage {
  requireNumber('shackleLength', length, 20, 500);
  requireNumber('shackleAngle', angle, 0.17, Math.PI - 0.17);
  return { pivot: { x: eyeDistance - length * Math.cos(angle), y: length * Math.sin(angle) }, length };
}

/** Rear eye below the line from front eye to pivot. Undefined when the shackle cannot reach. */
function rearEyeAt(linkage: ShackleLinkage, eyeDistance: number): { x: number; y: number } | undefined {
  const { x, y } = linkage.pivot;
  const reach = Math.hypot(x, y);
  const along = (eyeDistance ** 2 - linkage.length ** 2 + reach ** 2) / (2 * reach);
  const squared = eyeDistance ** 2 - along ** 2;
  if (squared <= 0) return undefined;
  const below = Math.sqrt(squared);
  return { x: (x * along + y * below) / reach, y: (y * along - x * below) / reach };
}

/** Where everything stands when the pack has this shape in the frame. */
function placed(linkage: ShackleLinkage, shape: PackShape) {
  const rearEye = rearEyeAt(linkage, shape.eyeDistance);
  if (!rearEye)
    throw new CoreError(
      'no-equilibrium',
      'shackle',
      'the shackle cannot reach the rear eye (over centre or pulled straight)',
    );
  const eyeLine = Math.atan2(rearEye.y, rearEye.x);
  const along = { x: Math.cos(eyeLine), y: Math.sin(eyeLine) };
  const seat = {
    x: along.x * shape.frontArm + along.y * shape.arch,
    y: along.y * shape.frontArm - along.x * shape.arch,
  };
  return { rearEye, eyeLine, along, seat };
}

/** Eye forces by statics: vertical seat load, shackle force along the shackle, the front eye takes the rest. */
function forcesOn(linkage: ShackleLinkage, shape: PackShape, load: number): EyeForces {
  const { rearEye, along, seat } = placed(linkage, shape);
  const link = {
    x: (rearEye.x - linkage.pivot.x) / linkage.length,
    y: (rearEye.y - linkage.pivot.y) / linkage.length,
  };
  const arm = rearEye.x * link.y - rearEye.y * link.x;
  if (Math.abs(arm) < 0.05 * shape.eyeDistance)
    throw new CoreError('no-equilibrium', 'shackle', 'the shackle points at the front eye and cannot carry the load');
  const push = (-seat.x * load) / arm;
  const rear = { x: push * link.x, y: push * link.y };
  const front = { x: -rear.x, y: -load - rear.y };
  return {
    front: front.x * along.y - front.y * along.x,
    rear: rear.x * along.y - rear.y * along.x,
    tension: rear.x * along.x + rear.y * along.y,
  };
}

/**
 * Installed equilibrium under a vertical seat load with the seat free to pitch.
 * @param load N per spring @throws CoreError `no-equilibrium` (named, never a number)
 */
export function solveInstalled(
  solver: PackSolver,
  linkage: ShackleLinkage,
  load: number,
  start?: PackShape,
): InstalledState {
  requireNumber('load', load, -1e6, 1e6);
  const first = start ?? solver.onRollers(load);
  const shape = solver.settle((s) => forcesOn(linkage, s ?? first, load), first);
  const { rearEye, eyeLine, seat } = placed(linkage, shape);
  const towardsPivot = Math.atan2(linkage.pivot.y - rearEye.y, linkage.pivot.x - rearEye.x);
  return {
    shape,
    forces: forcesOn(linkage, shape, load),
    rearEye,
    seat,
    eyeLine,
    seatTilt: eyeLine + shape.seatTilt,
    shackleAngle: Math.PI - (towardsPivot - eyeLine),
  };
}

/** Effective rate on seat height, dF/d(seat y), N/mm, by difference of two equilibria. */
export function installedRate(solver: PackSolver, linkage: ShackleLinkage, load: number, at: InstalledState): number {
  const { less, more } = loadStep(load);
  const low = solveInstalled(solver, linkage, less, at.shape);
  const high = solveInstalled(solver, linkage, more, at.shape);
  return (more - less) / (high.seat.y - low.seat.y);
}

/** Eye forces when the shackle's angle to the (level) eye line is known from measurement, not solved. */
export function forcesAtAngle(load: number, angle: number, arms: { frontArm: number; rearArm: number }): EyeForces {
  const span = arms.frontArm + arms.rearArm;
  const rear = (load * arms.frontArm) / span;
  // The shackle pushes from the pivot to the eye: across −sin, along +cos of its angle for a pivot above the eye.
  return { front: load - rear, rear, tension: (rear * Math.cos(angle)) / Math.sin(angle) };
}
