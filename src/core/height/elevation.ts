import { type Stack } from '../stack/stack';
import { type SideState } from './axleModel';

export interface Point {
  x: number;
  y: number;
}

/** A side of the axle as a drawing in frame axes: x rearward from the front eye, y up, mm. */
export interface Elevation {
  leaves: { thickness: number; points: Point[] }[];
  frontEye: Point;
  rearEye: Point;
  pivot: Point;
  /** Main leaf's mid-surface at the pin. */
  seat: Point;
  seatTilt: number;
  hub: Point;
  shackleAngle: number;
  contacts: Point[];
  /** What stands between hub and spring. */
  stack: Stack;
  /** U-bolt spacing along the spring, mm. */
  seatLength: number;
}

/** Draws a solved side; undefined when only the stack is known. */
export function elevationOf(side: SideState): Elevation | undefined {
  if (!side.spring) return undefined;
  const { solver, linkage, state } = side.spring;
  const cos = Math.cos(state.seatTilt);
  const sin = Math.sin(state.seatTilt);
  const place = (x: number, y: number): Point => ({
    x: state.seat.x + cos * x - sin * y,
    y: state.seat.y + sin * x + cos * y,
  });
  const leaves = solver.pack.leaves;
  const depth: number[] = [];
  leaves.forEach((leaf, i) => {
    depth.push(i === 0 ? 0 : depth[i - 1]! + (leaves[i - 1]!.thickness + leaf.thickness) / 2);
  });
  const drawn = leaves.map((leaf, i) => {
    const { front, rear } = solver.leafCurves(i, state.shape);
    const points: Point[] = [];
    for (let k = front.x.length - 1; k > 0; k--) points.push(place(-front.x[k]!, front.y[k]! - depth[i]!));
    for (let k = 0; k < rear.x.length; k++) points.push(place(rear.x[k]!, rear.y[k]! - depth[i]!));
    return { thickness: leaf.thickness, points };
  });
  const contactsOf = (end: 'front' | 'rear'): Point[] =>
    solver
      .contacts(end, state.shape)
      .filter((c) => c.force > 1)
      .map((c) => {
        const curve = solver.leafCurves(c.upper, state.shape)[end];
        const k = curve.s.findIndex((s) => s >= c.s - 1e-6);
        const at = k < 0 ? curve.s.length - 1 : k;
        const x = curve.x[at]!;
        return place(end === 'front' ? -x : x, curve.y[at]! - depth[c.upper]! - leaves[c.upper]!.thickness / 2);
      });
  return {
    leaves: drawn,
    frontEye: { x: 0, y: 0 },
    rearEye: state.rearEye,
    pivot: linkage.pivot,
    seat: state.seat,
    seatTilt: state.seatTilt,
    hub: { x: state.seat.x, y: state.seat.y - side.aboveHub },
    shackleAngle: state.shackleAngle,
    contacts: [...contactsOf('front'), ...contactsOf('rear')],
    stack: side.stack,
    seatLength: side.spring.seatLength,
  };
}
