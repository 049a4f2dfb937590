import { depths, type End } from '../../mechanics/leafpack/pack';
import { type PackShape, type PackSolver } from '../../mechanics/leafpack/solve';
import { type Stack } from '../../mechanics/stack/stack';
import { type SideState } from './sideState';

export interface Point {
  x: number;
  y: number;
}

/** A side of the axle as a drawing in frame axes: x rearward from the fixed eye, y up, mm. */
export interface Elevation {
  leaves: { thickness: number; points: Point[] }[];
  /** The shackle is at the front: the front eye hangs on it and the rear one is fixed. */
  turned?: true;
  frontEye: Point;
  rearEye: Point;
  /** Of the shackle; null where the rear end slides under a pad of this slope, rad. */
  pivot: Point | null;
  pad?: number;
  /** Main leaf's mid-surface at the pin. */
  seat: Point;
  seatTilt: number;
  hub: Point;
  /** null on a pad. */
  shackleAngle: number | null;
  contacts: PackDrawing['contacts'];
  /** What stands between hub and spring. */
  stack: Stack;
  /** U-bolt spacing along the spring, mm. */
  seatLength: number;
}

/** Leaves and contact points of a solved shape, placed by a seat in the drawing's axes. */
export interface PackDrawing {
  leaves: { thickness: number; points: Point[] }[];
  /** Where leaves press on one another or a clip pulls, on the underside of the upper one, with the force, N. */
  contacts: (Point & { force: number; clip: boolean })[];
}

/** @param seat main leaf's mid-surface at the pin @param tilt of the seat, rad; positive when the rear stands higher */
export function drawPack(solver: PackSolver, shape: PackShape, seat: Point, tilt: number): PackDrawing {
  const cos = Math.cos(tilt);
  const sin = Math.sin(tilt);
  const place = (x: number, y: number): Point => ({ x: seat.x + cos * x - sin * y, y: seat.y + sin * x + cos * y });
  const { leaves } = solver.pack;
  const depth = depths(leaves);
  const curves = leaves.map((_, i) => solver.leafCurves(i, shape));
  const drawn = leaves.map((leaf, i) => {
    const { front, rear } = curves[i]!;
    const points: Point[] = [];
    for (let k = front.x.length - 1; k > 0; k--) points.push(place(-front.x[k]!, front.y[k]! - depth[i]!));
    for (let k = 0; k < rear.x.length; k++) points.push(place(rear.x[k]!, rear.y[k]! - depth[i]!));
    return { thickness: leaf.thickness, points };
  });
  const contactsOf = (end: End) =>
    solver
      .contacts(end, shape)
      .filter((c) => c.force > 1)
      .map(({ upper, s, force, clip }) => {
        const curve = curves[upper]![end];
        const k = curve.s.findIndex((v) => v >= s - 1e-6);
        const at = k < 0 ? curve.s.length - 1 : k;
        const x = curve.x[at]!;
        const down = depth[upper]! + leaves[upper]!.thickness / 2;
        return { ...place(end === 'front' ? -x : x, curve.y[at]! - down), force, clip };
      });
  return { leaves: drawn, contacts: [...contactsOf('front'), ...contactsOf('rear')] };
}

/** What a drawing shows of the rear end. */
export const rearOf = (linkage: NonNullable<SideState['spring']>['linkage']): Pick<Elevation, 'pivot' | 'pad'> =>
  linkage.kind === 'slipper' ? { pivot: null, pad: linkage.slope } : { pivot: linkage.pivot };

/** The pad's face over the place where the leaf bears on it, as far as a drawing shows it: 40 mm either way. */
export const padFace = ({ x, y }: Point, slope: number): [Point, Point] => [
  { x: x - 40, y: y - 40 * Math.tan(slope) },
  { x: x + 40, y: y + 40 * Math.tan(slope) },
];

/** The eye that hangs on the shackle. */
export const hungEye = ({ turned, frontEye, rearEye }: Pick<Elevation, 'turned' | 'frontEye' | 'rearEye'>): Point =>
  turned ? frontEye : rearEye;

type Turnable = Pick<Elevation, 'frontEye' | 'rearEye' | 'pivot' | 'seat' | 'seatTilt' | 'turned'> & PackDrawing;

/** What was solved from the fixed eye at the rear towards the shackle in front, as it lies in the vehicle. */
export function inVehicle<T extends Turnable & { hub?: Point }>(drawn: T): T {
  const turned = <P extends Point>(p: P): P => ({ ...p, x: -p.x });
  return {
    ...drawn,
    turned: true,
    leaves: drawn.leaves.map((leaf) => ({ ...leaf, points: leaf.points.toReversed().map(turned) })),
    contacts: drawn.contacts.map(turned),
    frontEye: turned(drawn.rearEye),
    rearEye: turned(drawn.frontEye),
    pivot: drawn.pivot && turned(drawn.pivot),
    seat: turned(drawn.seat),
    seatTilt: -drawn.seatTilt,
    ...(drawn.hub && { hub: turned(drawn.hub) }),
  };
}

/** Draws a solved side; undefined when only the stack is known. */
export function elevationOf(side: SideState): Elevation | undefined {
  if (!side.spring) return undefined;
  const { solver, linkage, state, turned } = side.spring;
  const { wedge } = side.stack;
  const solved = {
    ...drawPack(solver, state.shape, state.seat, state.seatTilt),
    frontEye: { x: 0, y: 0 },
    rearEye: state.rearEye,
    ...rearOf(linkage),
    seat: state.seat,
    seatTilt: state.seatTilt,
    hub: { x: state.seat.x, y: state.seat.y - side.aboveHub },
    shackleAngle: state.shackleAngle,
    // A wedge was turned with the spring it lies under.
    stack: turned && wedge ? { ...side.stack, wedge: { ...wedge, noseUp: -wedge.noseUp } } : side.stack,
    seatLength: side.spring.seatLength,
  };
  return turned ? inVehicle(solved) : solved;
}
