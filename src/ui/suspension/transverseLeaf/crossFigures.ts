import { type PointId } from '@/core/measure/points';
import { SIDES, type Side } from '@/core/vehicle/side';
import { COMMON_FIGURES, commonFigure, type FigureParts, type FigureSet } from '../../figure/figureSet';
import {
  along,
  angle,
  leader,
  level,
  openLine,
  outline,
  ring,
  upright,
  type Figure,
  type ShapeMark,
} from '../../figure/marks';
import { type Scale } from '../../drawing/scale';
import { sign } from './side';

/** What stands in on a figure for a point that nobody read, mm and rad. */
const TYPICAL: Partial<Record<PointId, number>> = {
  crossLeaves: 3,
  crossFull: 1,
  crossShort: 130,
  crossBroken: 0,
  upperArm: 200,
  upperSlope: 0.1,
  kingpinLength: 120,
};

/** Figures of an axle on one spring across. */
export const CROSS_FIGURES: FigureSet = {
  names: { ...COMMON_FIGURES.names, cross: 'spring', uprights: 'uprights' },
  ofGroup: { ...COMMON_FIGURES.ofGroup, cross: 'cross', crossUpright: 'uprights' },
  sided: () => false,
  standIn: () => (point) => TYPICAL[point],
  build: (id, parts) =>
    id === 'cross' ? springFigure(parts) : id === 'uprights' ? uprightFigure(parts) : commonFigure(id, parts),
};

/** The spring from behind: halves, where its eyes hang, leaves, clamp. */
function springFigure({ values, field }: FigureParts): Figure {
  const of = (point: PointId, side: Side | null = null) => values(point, side).value;
  const half = { left: of('crossHalf', 'left'), right: of('crossHalf', 'right') };
  const drop = { left: of('crossDrop', 'left'), right: of('crossDrop', 'right') };
  const [leaves, thick] = [Math.min(12, Math.max(1, Math.round(of('crossLeaves')))), of('crossThickness')];
  const full = Math.min(leaves, Math.max(1, Math.round(of('crossFull'))));
  const clamp = of('crossClamp');
  const wide = Math.max(half.left, half.right);
  const low = -Math.max(drop.left, drop.right, 0) - 16;
  const top = leaves * thick + 30;
  const sizes = (['crossLeaves', 'crossThickness'] as const).every((p) => values(p).known);
  /** A leaf of the side, so many from the main leaf: on the main leaf's curve, as far as it reaches. */
  const strip = (s: Scale, side: Side, k: number): ShapeMark => {
    const long =
      k < full
        ? half[side]
        : half[side] + ((Math.min(of('crossShort'), half[side]) - half[side]) * (k - full + 1)) / (leaves - full);
    const flat = clamp / 2;
    const y = (x: number) => -drop[side] * (Math.max(0, x - flat) / Math.max(1, half[side] - flat)) ** 2 + k * thick;
    const xs = Array.from({ length: 13 }, (_, n) => (n / 12) * long);
    const edge = (up: number) => xs.map((x) => ({ x: s.x(sign(side) * x), y: s.y(y(x) + up) }));
    return {
      path: outline([...edge(0), ...edge(thick).toReversed()]),
      look: 'steel',
      known: sizes && values('crossHalf', side).known && values('crossDrop', side).known,
    };
  };
  return {
    name: 'spring, from behind',
    front: false,
    scaled: true,
    extent: { left: -wide - 24, right: wide + 24, top, bottom: low },
    margin: { left: 78, right: 78, top: 70, bottom: 148 },
    marks: (s) => {
      const given = (point: PointId, side: Side | null = null) => ({
        at: field(point, side),
        known: values(point, side).known,
      });
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const [rowOne, rowTwo] = [s.y(low) + 24, s.y(low) + 96];
      const above = s.y(top) - 36;
      // A finger's width apart, however small it is drawn.
      const step = Math.max(62, 0.42 * wide * s.perMm);
      const spread = (n: number) => s.x(0) + n * step;
      return {
        shapes: [
          {
            path: outline([px(-80, top - 26), px(80, top - 26), px(80, top), px(-80, top)]),
            look: 'outline',
            known: true,
          },
          ...SIDES.flatMap((side) => Array.from({ length: leaves }, (_, k) => strip(s, side, k))),
          ...SIDES.map((side): ShapeMark => ({
            path: ring(px(sign(side) * half[side], -drop[side]), Math.max(5, 10 * s.perMm)),
            look: 'outline',
            known: values('crossDrop', side).known,
          })),
          { path: openLine([px(-wide - 24, 0), px(wide + 24, 0)]), look: 'thin', known: true },
        ],
        dimensions: [
          ...SIDES.flatMap((side) => [
            level(given('crossHalf', side), px(0, 0), px(sign(side) * half[side], -drop[side]), rowOne),
            {
              ...upright(
                given('crossDrop', side),
                px(sign(side) * half[side], 0),
                px(sign(side) * half[side], -drop[side]),
                s.x(sign(side) * wide) + sign(side) * 26,
              ),
              x: s.x(sign(side) * wide) + sign(side) * 58,
            },
          ]),
          level(given('crossClamp'), px(-clamp / 2, 0), px(clamp / 2, 0), rowTwo),
          leader(given('crossThickness'), px(-wide * 0.6, y0(drop.left, 0.6) + thick / 2), {
            x: spread(-1.4),
            y: rowTwo,
          }),
          leader(
            given('crossShort'),
            px(Math.min(of('crossShort'), wide) * 0.96, y0(drop.right, 0.2) + (leaves - 0.5) * thick),
            {
              x: spread(1.4),
              y: rowTwo,
            },
          ),
          leader(given('crossLeaves'), px(-wide * 0.24, (leaves - 0.5) * thick), { x: spread(-1.5), y: above }),
          leader(given('crossFull'), px(-wide * 0.1, thick / 2), { x: spread(-0.5), y: above }),
          leader(given('crossBroken'), px(6, (leaves / 2) * thick), { x: spread(0.5), y: above }),
          leader(given('crossWidth'), px(wide * 0.3, (leaves - 0.5) * thick - 2), { x: spread(1.5), y: above }),
        ],
        captions: [
          { x: spread(-1.5) - 20, y: above - 20, text: 'leaves' },
          { x: spread(-0.5) - 30, y: above - 20, text: 'full length' },
          { x: spread(0.5) - 20, y: above - 20, text: 'broken' },
          { x: spread(1.5) - 18, y: above - 20, text: 'width' },
          { x: s.x(0) - 18, y: rowTwo + 30, text: 'clamp' },
          { x: spread(-1.4) - 30, y: rowTwo + 30, text: 'thickness' },
          { x: spread(1.4) - 46, y: rowTwo + 30, text: 'half of the shortest' },
          { x: s.x(-wide) - 6, y: s.y(0) - 12, text: 'left' },
          { x: s.x(wide) - 24, y: s.y(0) - 12, text: 'right' },
        ],
      };
    },
  };
}

/** Height on the main leaf's curve a share of the way out. */
const y0 = (drop: number, share: number): number => -drop * share ** 2;

/** What stands a wheel up: the spring's eye below, the upper arm above; the right one, from behind. */
function uprightFigure({ values, field }: FigureParts): Figure {
  const [arm, slope, kingpin] = [values('upperArm'), values('upperSlope'), values('kingpinLength')];
  const long = Math.max(60, arm.value);
  const joint = { x: 0, y: kingpin.value };
  const pivot = { x: -long * Math.cos(slope.value), y: kingpin.value - long * Math.sin(slope.value) };
  return {
    name: 'uprights, the right one',
    front: false,
    scaled: true,
    extent: { left: -long - 40, right: 120, top: kingpin.value + 50, bottom: -50 },
    margin: { left: 40, right: 84, top: 50, bottom: 30 },
    marks: (s) => {
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const px = (p: { x: number; y: number }) => ({ x: s.x(p.x), y: s.y(p.y) });
      const known = arm.known && kingpin.known;
      return {
        shapes: [
          { path: openLine([px({ x: -long - 30, y: 14 }), px({ x: 0, y: 0 })]), look: 'steel', known: true },
          { path: openLine([px({ x: 0, y: 0 }), px(joint)]), look: 'outline', known },
          { path: openLine([px(joint), px(pivot)]), look: 'outline', known },
          ...[{ x: 0, y: 0 }, joint, pivot].map((p): ShapeMark => ({ path: ring(px(p), 7), look: 'outline', known })),
          { path: openLine([px(pivot), px({ x: 20, y: pivot.y })]), look: 'thin', known: true },
        ],
        dimensions: [
          along(given('upperArm'), px(pivot), px(joint), 34),
          {
            ...angle(given('upperSlope'), px(pivot), px({ x: 0, y: pivot.y }), px(joint), 74),
            y: s.y(pivot.y) + 30,
          },
          upright(given('kingpinLength'), px({ x: 0, y: 0 }), px(joint), s.x(0) + 52),
        ],
        captions: [
          { x: s.x(pivot.x) - 14, y: s.y(pivot.y) + 26, text: 'pivot' },
          { x: s.x(0) + 12, y: s.y(0) + 26, text: 'spring’s eye' },
        ],
      };
    },
  };
}
