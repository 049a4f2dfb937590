import { type FieldAt } from '../measure/fields';
import { type Extent, type Margin, type Scale } from '../drawing/scale';

/** One dimension of a figure, in pixels: its lines, and where its figure stands and is touched. */
export interface DimensionMark {
  at: FieldAt;
  known: boolean;
  /** SVG path of extension lines, dimension line and ticks or arrows. */
  path: string;
  /** Middle of its text. */
  x: number;
  y: number;
}

/** A line or outline of the part itself, in pixels. */
export interface ShapeMark {
  path: string;
  look: 'steel' | 'outline' | 'thin' | 'ground';
  /** Dotted while any dimension it is drawn from is a stand-in. */
  known: boolean;
}

export interface CaptionMark {
  x: number;
  y: number;
  text: string;
}

export interface Marks {
  shapes: ShapeMark[];
  dimensions: DimensionMark[];
  captions: CaptionMark[];
}

/** A figure before its scale is known. */
export interface Figure {
  name: string;
  extent: Extent;
  margin: Margin;
  /** Whether left on the paper is the front of the vehicle. */
  front: boolean;
  /** Whether lengths along the paper are to scale. */
  scaled: boolean;
  /** Fixed height below the scaled part for rows that are drawn apart, px. */
  below?: number;
  marks: (s: Scale) => Marks;
}

/** A dimension is touched on this many pixels at least, each way. */
export const TOUCH = 44;

const n = (v: number): string => v.toFixed(1);
const TICK = 6;
const tick = (x: number, y: number, upright: boolean): string =>
  upright ? `M${n(x - TICK)} ${n(y)}H${n(x + TICK)}` : `M${n(x)} ${n(y - TICK)}V${n(y + TICK)}`;

interface Pixel {
  x: number;
  y: number;
}
type Given = Pick<DimensionMark, 'at' | 'known'>;

/** An upright dimension: extension lines from the two points to a line at `x`. */
export const upright = (given: Given, from: Pixel, to: Pixel, x: number): DimensionMark => ({
  ...given,
  path: `M${n(from.x)} ${n(from.y)}H${n(x)}M${n(to.x)} ${n(to.y)}H${n(x)}M${n(x)} ${n(from.y)}V${n(to.y)}${tick(x, from.y, true)}${tick(x, to.y, true)}`,
  x,
  y: (from.y + to.y) / 2,
});

/** A level dimension: extension lines from the two points to a line at `y`. */
export const level = (given: Given, from: Pixel, to: Pixel, y: number): DimensionMark => ({
  ...given,
  path: `M${n(from.x)} ${n(from.y)}V${n(y)}M${n(to.x)} ${n(to.y)}V${n(y)}M${n(from.x)} ${n(y)}H${n(to.x)}${tick(from.x, y, false)}${tick(to.x, y, false)}`,
  x: (from.x + to.x) / 2,
  y,
});

/** A leader from a spot on the part to its figure. */
export const leader = (given: Given, spot: Pixel, to: Pixel): DimensionMark => ({
  ...given,
  path: `M${n(spot.x - 2.5)} ${n(spot.y)}a2.5 2.5 0 1 0 5 0a2.5 2.5 0 1 0 -5 0M${n(spot.x)} ${n(spot.y)}L${n(to.x)} ${n(to.y)}`,
  x: to.x,
  y: to.y,
});

/** A thin part of the stack: ticks at its two faces, and a leader to its figure in the column beside it. */
export const bracket = (given: Given, from: Pixel, to: Pixel, x: number, label: Pixel): DimensionMark => ({
  ...given,
  path: `M${n(from.x)} ${n(from.y)}H${n(x)}M${n(to.x)} ${n(to.y)}H${n(x)}M${n(x)} ${n(from.y)}V${n(to.y)}${tick(x, from.y, true)}${tick(x, to.y, true)}M${n(x)} ${n((from.y + to.y) / 2)}L${n(label.x - 30)} ${n(label.y)}`,
  ...label,
});

/** A weight: an arrow that pushes up on the tyre or axle. */
export const weight = (given: Given, foot: Pixel, y: number): DimensionMark => ({
  ...given,
  path: `M${n(foot.x)} ${n(y - 12)}V${n(foot.y + 2)}M${n(foot.x - 5)} ${n(foot.y + 10)}L${n(foot.x)} ${n(foot.y + 2)}L${n(foot.x + 5)} ${n(foot.y + 10)}`,
  x: foot.x,
  y,
});

/** An angle at `corner` between the directions to two points. */
export function angle(given: Given, corner: Pixel, one: Pixel, two: Pixel, radius: number): DimensionMark {
  const along = (p: Pixel, r: number): Pixel => {
    const length = Math.hypot(p.x - corner.x, p.y - corner.y) || 1;
    return { x: corner.x + ((p.x - corner.x) * r) / length, y: corner.y + ((p.y - corner.y) * r) / length };
  };
  const [a, b] = [along(one, radius), along(two, radius)];
  const turn = (a.x - corner.x) * (b.y - corner.y) - (a.y - corner.y) * (b.x - corner.x) > 0 ? 1 : 0;
  const middle = along({ x: a.x + b.x - corner.x, y: a.y + b.y - corner.y }, radius + 24);
  return {
    ...given,
    path: `M${n(corner.x)} ${n(corner.y)}L${n(a.x)} ${n(a.y)}A${radius} ${radius} 0 0 ${turn} ${n(b.x)} ${n(b.y)}L${n(corner.x)} ${n(corner.y)}`,
    ...middle,
  };
}

/** A straight dimension along a link, its line moved sideways. */
export function along(given: Given, from: Pixel, to: Pixel, aside: number): DimensionMark {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [dx, dy] = [((to.y - from.y) / length) * aside, (-(to.x - from.x) / length) * aside];
  const [a, b] = [
    { x: from.x + dx, y: from.y + dy },
    { x: to.x + dx, y: to.y + dy },
  ];
  return {
    ...given,
    path: `M${n(from.x)} ${n(from.y)}L${n(a.x)} ${n(a.y)}L${n(b.x)} ${n(b.y)}L${n(to.x)} ${n(to.y)}`,
    x: (a.x + b.x) / 2 + (dx / (Math.abs(aside) || 1)) * 26,
    y: (a.y + b.y) / 2 + (dy / (Math.abs(aside) || 1)) * 26,
  };
}

/** A closed outline through points. */
export const outline = (points: readonly Pixel[]): string =>
  `${points.map((p, i) => `${i === 0 ? 'M' : 'L'}${n(p.x)} ${n(p.y)}`).join('')}Z`;
export const openLine = (points: readonly Pixel[]): string =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${n(p.x)} ${n(p.y)}`).join('');
export const ring = (c: Pixel, r: number): string =>
  `M${n(c.x - r)} ${n(c.y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
