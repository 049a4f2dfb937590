/** Everything a drawing of a pair needs besides its tyres, mm and rad; the frame's lower edge at 0, x rearward of the middle. */
export interface PairShape {
  spacing: number;
  outer: number;
  inner: number;
  leaves: number;
  thickness: number;
  /** Frame's edge down to the hanger eyes; to the inner ends of each spring. */
  outerDrop: number;
  innerDrop: { front: number; rear: number };
  arch: { front: number; rear: number };
  over: boolean;
  perch: number;
  tube: number;
  riser: number;
  rocker: { front: number; rear: number; below: number; swing: number; shackle: number } | null;
}

interface Given {
  spring: { outer: number; inner: number; leaves: number; thickness: number };
  drop: { outer: number; inner: number };
  arch: { front: number; rear: number };
  rocker: { front: number; rear: number; below: number } | null;
  riser: number;
  over: boolean;
  perch: number;
  tube: number;
  swing: number;
  spacing: number;
  shackle: number;
}

/** The pair as it stands: the rocker's swing lifts the inner end of one spring and lowers the other's. */
export function shapeOf(given: Given): PairShape {
  const { spring, drop, arch, rocker, riser, over, perch, tube, swing, spacing, shackle } = given;
  const sine = Math.sin(swing);
  return {
    ...{ spacing, arch, over, perch, tube, riser },
    ...{ outer: spring.outer, inner: spring.inner, leaves: spring.leaves, thickness: spring.thickness },
    outerDrop: drop.outer + riser,
    innerDrop: {
      front: drop.inner + riser - (rocker ? rocker.front * sine : 0),
      rear: drop.inner + riser + (rocker ? rocker.rear * sine : 0),
    },
    rocker: rocker && { ...rocker, swing, shackle },
  };
}

/** Inner ends of the springs below their hanger eyes, mm, the mean of both. */
export const slopeOf = ({ innerDrop, outerDrop }: PairShape): number =>
  (innerDrop.front + innerDrop.rear) / 2 - outerDrop;

interface Spot {
  x: number;
  y: number;
}

/** One spring from the side: the line of its main leaf's top face from the hanger's end to the inner one, and its hub. */
export interface PairSpringLine {
  line: Spot[];
  /** Where the bolt goes through the top face. */
  seat: Spot;
  hub: Spot;
  eye: Spot;
  inner: Spot;
}

/** Points of a leaf drawn between its ends. */
const PIECES = 16;

/** The spring of the front or the rear axle, eye line and arch as they stand, y up. */
export function springLine(shape: PairShape, end: 'front' | 'rear'): PairSpringLine {
  const toOuter = end === 'front' ? -1 : 1;
  const x = (toOuter * shape.spacing) / 2;
  // Seen along a chord the halves are nearly as long as along the leaf.
  const eye = { x: x + toOuter * shape.outer, y: -shape.outerDrop };
  const inner = { x: x - toOuter * shape.inner, y: -shape.innerDrop[end] };
  const along = (k: number): Spot => {
    const from = -shape.outer + (k / PIECES) * (shape.outer + shape.inner);
    const way = from < 0 ? from / shape.outer : from / shape.inner;
    const chord = (from + shape.outer) / (shape.outer + shape.inner);
    const y = eye.y + (inner.y - eye.y) * chord - shape.arch[end] * (1 - way * way);
    return { x: x - toOuter * from, y };
  };
  const line = Array.from({ length: PIECES + 1 }, (_, k) => along(k));
  const chord = shape.outer / (shape.outer + shape.inner);
  const seat = { x, y: eye.y + (inner.y - eye.y) * chord - shape.arch[end] };
  const pack = shape.leaves * shape.thickness;
  const hub = shape.over ? seat.y - pack - shape.perch - shape.tube / 2 : seat.y + shape.perch + shape.tube / 2;
  return { line, seat, hub: { x, y: hub }, eye, inner };
}

/** Pins of the rocker and its pivot, y up; null without one. */
export function rockerSpots(shape: PairShape): { pivot: Spot; front: Spot; rear: Spot } | null {
  const { rocker } = shape;
  if (!rocker) return null;
  const { front, rear, below, swing, shackle } = rocker;
  const [cosine, sine] = [Math.cos(swing), Math.sin(swing)];
  // The middle of its arms hangs over the gap between the inner ends.
  const x = (rear - front) / -2;
  const level = -(shape.innerDrop.front + shape.innerDrop.rear) / 2 - ((rear - front) / 2) * -sine + shackle;
  const pivot = { x, y: level + below };
  return {
    pivot,
    front: { x: x - front * cosine + below * sine, y: pivot.y - below * cosine + front * sine },
    rear: { x: x + rear * cosine + below * sine, y: pivot.y - below * cosine - rear * sine },
  };
}
