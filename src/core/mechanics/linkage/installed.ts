import { CoreError, requireNumber } from '../../errors';
import {
  acrossLoad,
  stable,
  type EyeForces,
  type EyeGeometry,
  type PackShape,
  type PackSolver,
} from '../leafpack/solve';

const { abs, atan2, cos, hypot, PI, sin, sqrt } = Math;

export interface Place {
  x: number;
  y: number;
}

/** Rear end on a shackle. Frame axes: front eye at (0, 0), x rearward, y up, mm. */
export interface ShackleLinkage {
  kind: 'shackle';
  pivot: Place;
  /** Eye centre to pivot centre, mm. */
  length: number;
  /** The eye hangs below its pivot (the shackle pushes) or stands above it (the shackle is pulled). */
  eye: 'below' | 'above';
}

/** Rear end sliding under a flat pad or a roller of the frame; the leaf's end presses up on it and is never held down. */
export interface SlipperLinkage {
  kind: 'slipper';
  /** Height of the pad's face above the front eye, mm. */
  height: number;
  /** Slope of the face, rad; positive when it rises rearwards. */
  slope: number;
  /** Where the face begins and ends rearward of the front eye, mm. */
  from: number;
  to: number;
}

/** Rear end sliding under a roller that stands still in the frame; the leaf runs on beyond it. */
export interface RollerLinkage {
  kind: 'roller';
  /** Where the leaf's mid-surface passes under it, mm. */
  at: Place;
}

export type Linkage = ShackleLinkage | SlipperLinkage | RollerLinkage;

/** Twisting stiffness of a bonded bush, N·mm/rad, and the eye's slope to the seat at which it is slack, rad. */
export interface BushTorsion {
  front: { stiffness: number; slackAt: number };
  rear: { stiffness: number; slackAt: number };
}

/** What acts on a spring in its frame. */
export interface SeatLoad {
  /** Vertical force of the axle on the seat, N; positive upwards. */
  load: number;
  /** Couple of the axle on the seat, N·mm; positive lifts the rear of the seat (braking or driving torque). */
  couple?: number;
  bushes?: BushTorsion;
}

export interface InstalledState {
  shape: PackShape;
  forces: EyeForces;
  rearEye: Place;
  /** Main leaf's mid-surface at the pin, mm in frame axes. */
  seat: Place;
  /** Eye line against the frame, rad; positive when the rear eye stands higher. */
  eyeLine: number;
  /** Seat against the frame, rad; positive when the rear of the seat stands higher. */
  seatTilt: number;
  /** Between eye line towards the front eye and shackle, rad; null on a slipper. */
  shackleAngle: number | null;
  /** Turn of each eye against the frame, rad, counted from the leaf lying along the frame. */
  eyeTurn: { front: number; rear: number };
}

/** Where the eye of a shackle is against its pivot in the frame: hanging below it, or standing above it. */
export type ShackleEye = ShackleLinkage['eye'];

/** Pivot that puts the shackle at a measured angle to the eye line when the eyes are `eyeDistance` apart and level. */
export function pivotFromAngle(
  eyeDistance: number,
  length: number,
  angle: number,
  eye: ShackleEye = 'below',
): ShackleLinkage {
  requireNumber('shackleLength', length, 20, 500);
  requireNumber('shackleAngle', angle, 0.17, PI - 0.17);
  return {
    kind: 'shackle',
    pivot: { x: eyeDistance - length * cos(angle), y: (eye === 'below' ? 1 : -1) * length * sin(angle) },
    length,
    eye,
  };
}

/**
 * How the rear end was seen to be held, in the state the readings are of: by a shackle at its angle to the eye line, rad, or free under
 * a pad of the frame whose face has this slope to it, rad, positive rising rearwards.
 */
export type RearHold = { length: number; angle: number; eye?: ShackleEye } | { slope: number };

/**
 * The rear end's linkage when its eye, or the place where it bears on its pad, is `eyeDistance` behind the front eye and level with it.
 * @param hold shackle 20 to 500 mm long, 10 to 170°; slope of a pad within 0.35 rad. Where the pad ends is not known, so none is left.
 */
export function linkageAt(eyeDistance: number, hold: RearHold): ShackleLinkage | SlipperLinkage {
  if (!('slope' in hold)) return pivotFromAngle(eyeDistance, hold.length, hold.angle, hold.eye);
  const { slope } = hold;
  requireNumber('padSlope', slope, -0.35, 0.35);
  return { kind: 'slipper', height: -eyeDistance * Math.tan(slope), slope, from: -Infinity, to: Infinity };
}

/** Eye forces of a vertical load while the rear end stands as it was seen, eyes level. @param load N */
export const forcesHeld = (load: number, arms: { frontArm: number; rearArm: number }, hold: RearHold): EyeForces =>
  // A pad pushes square to its face, as a hanging shackle at that angle would.
  'slope' in hold ? forcesAtAngle(load, PI / 2 - hold.slope, arms) : forcesAtAngle(load, hold.angle, arms, hold.eye);

const gone = (field: string, reason: string) => new CoreError('no-equilibrium', field, reason);

/** Where the rear eye stands when the eyes are this far apart. */
function rearEyeAt(linkage: Linkage, eyeDistance: number): Place {
  if (linkage.kind === 'roller') return linkage.at;
  if (linkage.kind === 'slipper') {
    const rise = linkage.height * cos(linkage.slope);
    const squared = eyeDistance ** 2 - rise ** 2;
    if (squared <= 0) throw gone('slipper', 'the pad is further above the front eye than the spring is long');
    const along = sqrt(squared);
    return {
      x: along * cos(linkage.slope) - rise * sin(linkage.slope),
      y: along * sin(linkage.slope) + rise * cos(linkage.slope),
    };
  }
  const { x, y } = linkage.pivot;
  const reach = hypot(x, y);
  const along = (eyeDistance ** 2 - linkage.length ** 2 + reach ** 2) / (2 * reach);
  const squared = eyeDistance ** 2 - along ** 2;
  if (squared <= 0) throw gone('shackle', 'the shackle cannot reach the rear eye: over centre or pulled straight');
  const off = (linkage.eye === 'below' ? -1 : 1) * sqrt(squared);
  return { x: (x * along - y * off) / reach, y: (y * along + x * off) / reach };
}

/** Where everything stands when the pack has this shape in the frame. */
function placed(linkage: Linkage, shape: EyeGeometry) {
  const rearEye = rearEyeAt(linkage, shape.eyeDistance);
  const eyeLine = atan2(rearEye.y, rearEye.x);
  const along = { x: cos(eyeLine), y: sin(eyeLine) };
  const seat = {
    x: along.x * shape.frontArm + along.y * shape.arch,
    y: along.y * shape.frontArm - along.x * shape.arch,
  };
  return { rearEye, eyeLine, along, seat };
}

/** Direction in which the frame pushes on the rear end: along the shackle away from its pivot, or square to pad or leaf. */
function pushDirection(linkage: Linkage, rearEye: Place, leafSlope: number): Place {
  // A roller pushes square to the leaf where it lies.
  if (linkage.kind === 'roller') return { x: sin(leafSlope), y: -cos(leafSlope) };
  if (linkage.kind === 'slipper') return { x: sin(linkage.slope), y: -cos(linkage.slope) };
  return { x: (rearEye.x - linkage.pivot.x) / linkage.length, y: (rearEye.y - linkage.pivot.y) / linkage.length };
}

/** Couples of twisted bushes on the leaf, flattening, N·mm. */
function bushCouples(bushes: BushTorsion, shape: EyeGeometry, seatTilt: number, shackleTurn: number) {
  // Each eye's slope is counted outwards from the seat; the frame stands still in front, the shackle turns at the rear.
  const front = shape.eyeSlopes.front - seatTilt;
  const rear = shape.eyeSlopes.rear + seatTilt - shackleTurn;
  return {
    front: { value: bushes.front.stiffness * (front - bushes.front.slackAt), stiffness: bushes.front.stiffness },
    rear: { value: bushes.rear.stiffness * (rear - bushes.rear.slackAt), stiffness: bushes.rear.stiffness },
  };
}

/** Eye forces by statics: seat load and couple, the rear end pushes along its line, the front eye takes the rest. */
function forcesOn(linkage: Linkage, shape: EyeGeometry, { load, couple = 0, bushes }: SeatLoad): EyeForces {
  const { rearEye, along, seat, eyeLine } = placed(linkage, shape);
  const link = pushDirection(linkage, rearEye, eyeLine + shape.seatTilt + shape.eyeSlopes.rear);
  const arm = rearEye.x * link.y - rearEye.y * link.x;
  if (abs(arm) < 0.05 * shape.eyeDistance)
    throw gone('shackle', 'the shackle points at the front eye and cannot carry the load');
  const couples = bushes && bushCouples(bushes, shape, eyeLine + shape.seatTilt, atan2(link.x, -link.y));
  const turning = couple + (couples ? couples.front.value - couples.rear.value : 0);
  const push = -(seat.x * load + turning) / arm;
  const rear = { x: push * link.x, y: push * link.y };
  const front = { x: -rear.x, y: -load - rear.y };
  return {
    front: front.x * along.y - front.y * along.x,
    rear: rear.x * along.y - rear.y * along.x,
    tension: rear.x * along.x + rear.y * along.y,
    ...(couples && { couples }),
  };
}

/**
 * Installed equilibrium under a seat load with the seat free to pitch.
 * @param load N per spring, or load with couple and bushes @param start a shape near by
 * @throws CoreError `no-equilibrium` naming what gives way (shackle, slipper, load), never a number
 */
export function solveInstalled(
  solver: PackSolver,
  linkage: Linkage,
  load: number | SeatLoad,
  start?: PackShape,
): InstalledState {
  const seatLoad: SeatLoad = typeof load === 'number' ? { load } : load;
  requireNumber('load', seatLoad.load, -1e6, 1e6);
  requireNumber('couple', seatLoad.couple ?? 0, -1e9, 1e9);
  const at = (share: number) => (g: EyeGeometry) =>
    forcesOn(linkage, g, {
      ...seatLoad,
      load: share * seatLoad.load,
      couple: share * (seatLoad.couple ?? 0),
    });
  if (linkage.kind === 'roller') return underRoller(solver, linkage, at, seatLoad, start);
  const ways: (() => PackShape)[] = [
    // From a shape of another pack it would begin at its own free shape, where a shackle may fold over to another equilibrium.
    ...(start && solver.fits(start) ? [() => solver.settle(at(1), start)] : []),
    () => solver.settle(at(1), solver.onRollers(seatLoad.load)),
    () => solver.march(at),
  ];
  for (const [k, way] of ways.entries())
    try {
      return installedAt(linkage, way(), seatLoad);
    } catch (error) {
      if (!(error instanceof CoreError) || error.code === 'bad-input' || k === ways.length - 1) throw error;
    }
  throw gone('load', 'no way to an equilibrium');
}

/** The place on the leaf that lies under the roller is found with the shape: the eyes are as far apart as the frame says. */
function underRoller(
  solver: PackSolver,
  linkage: RollerLinkage,
  at: (share: number) => (g: EyeGeometry) => EyeForces,
  seatLoad: SeatLoad,
  start?: PackShape,
): InstalledState {
  const apart = hypot(linkage.at.x, linkage.at.y);
  const { front, rear } = solver.pack.leaves[0]!;
  let s = Math.min(rear, apart - front);
  let off = 0;
  solver.loadRearAt(s);
  const shape = solver.settle(at(1), start, (g) => {
    off = apart - g.eyeDistance;
    s += off;
    if (s > rear) throw gone('roller', 'the leaf’s end has slipped off its roller');
    solver.loadRearAt(s);
    return abs(off);
  });
  solver.loadRearAt(rear);
  return installedAt(linkage, shape, seatLoad);
}

function installedAt(linkage: Linkage, shape: PackShape, seatLoad: SeatLoad): InstalledState {
  const { rearEye, eyeLine, seat } = placed(linkage, shape);
  const forces = forcesOn(linkage, shape, seatLoad);
  let shackleAngle: number | null = null;
  if (linkage.kind === 'slipper') {
    if (rearEye.x < linkage.from || rearEye.x > linkage.to)
      throw gone('slipper', `the slipper end stands ${Math.round(rearEye.x)} mm behind the front eye, off its pad`);
    if (forces.rear < 0) throw gone('slipper', 'the slipper end would have to pull on its pad');
  } else if (linkage.kind === 'roller') {
    if (forces.rear < 0) throw gone('roller', 'the leaf’s end would have to pull on its roller');
  } else {
    const towardsPivot = atan2(linkage.pivot.y - rearEye.y, linkage.pivot.x - rearEye.x);
    shackleAngle = PI - abs(towardsPivot - eyeLine);
  }
  const seatTilt = eyeLine + shape.seatTilt;
  return {
    shape,
    forces,
    rearEye,
    seat,
    eyeLine,
    seatTilt,
    shackleAngle,
    eyeTurn: { front: seatTilt - shape.eyeSlopes.front, rear: seatTilt + shape.eyeSlopes.rear },
  };
}

/**
 * Effective rate on seat height, dF/d(seat y), N/mm, by difference of two equilibria.
 * @throws CoreError `no-equilibrium` where the spring would snap through
 */
export function installedRate(solver: PackSolver, linkage: Linkage, load: number, at: InstalledState): number {
  const { low, high, span } = acrossLoad(load, (force) => solveInstalled(solver, linkage, force, at.shape));
  return stable(span / (high.seat.y - low.seat.y));
}

/**
 * How far the rear end slides on its pad for one newton more on the seat, mm/N, by difference of two equilibria: a rubbing force there
 * holds the seat's height within its work. 0 where nothing slides. @throws CoreError as `solveInstalled`
 */
export function slidePerNewton(solver: PackSolver, linkage: Linkage, load: number, at: InstalledState): number {
  if (linkage.kind !== 'slipper') return 0;
  const { low, high, span } = acrossLoad(load, (force) => solveInstalled(solver, linkage, force, at.shape));
  return hypot(high.rearEye.x - low.rearEye.x, high.rearEye.y - low.rearEye.y) / span;
}

/** Stiffness of the seat against braking or driving torque, dM/d(seat pitch) at constant load, N·mm/rad. */
export function wrapStiffness(solver: PackSolver, linkage: Linkage, load: number, at: InstalledState): number {
  const couple = 1e-3 * abs(load) * at.shape.eyeDistance + 1000;
  const up = solveInstalled(solver, linkage, { load, couple }, at.shape);
  const down = solveInstalled(solver, linkage, { load, couple: -couple }, at.shape);
  return (2 * couple) / (up.seatTilt - down.seatTilt);
}

/** A point of the path that the wheel's centre takes, mm in frame axes, with the load that brings it there. */
export interface PathPoint {
  load: number;
  hub: Place;
  seatTilt: number;
  shackleAngle: number | null;
}

/**
 * Path of the wheel's centre from droop to bump.
 * @param loads N, in the order wanted @param below hub below the main leaf's mid-surface at the pin, along the seat's normal, mm
 * @returns one entry per load; null where there is no equilibrium
 */
export function wheelPath(
  solver: PackSolver,
  linkage: Linkage,
  loads: readonly number[],
  below: number,
): (PathPoint | null)[] {
  requireNumber('below', below, -1000, 1000);
  let last: PackShape | undefined;
  return loads.map((load) => {
    try {
      const state = solveInstalled(solver, linkage, load, last);
      last = state.shape;
      const { seat, seatTilt, shackleAngle } = state;
      return {
        load,
        hub: { x: seat.x + below * sin(seatTilt), y: seat.y - below * cos(seatTilt) },
        seatTilt,
        shackleAngle,
      };
    } catch (error) {
      if (error instanceof CoreError && error.code === 'no-equilibrium') return null;
      throw error;
    }
  });
}

/** Eye forces when the shackle's angle to the (level) eye line is known from measurement, not solved. */
export function forcesAtAngle(
  load: number,
  angle: number,
  arms: { frontArm: number; rearArm: number },
  eye: ShackleEye = 'below',
): EyeForces {
  const span = arms.frontArm + arms.rearArm;
  const rear = (load * arms.frontArm) / span;
  // A hanging shackle pushes from the pivot to the eye: across −sin, along +cos of its angle; one pulled from below, along −cos.
  return { front: load - rear, rear, tension: ((eye === 'below' ? 1 : -1) * (rear * cos(angle))) / sin(angle) };
}
