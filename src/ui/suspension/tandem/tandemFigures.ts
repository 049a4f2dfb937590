import { type PointId } from '@/core/measure/points';
import { rockerSpots, shapeOf, springLine, type PairShape } from '@/core/suspension/tandem/elevation';
import { type Side } from '@/core/vehicle/side';
import { type Scale } from '../../drawing/scale';
import { COMMON_FIGURES, commonFigure, type FigureParts, type FigureSet } from '../../figure/figureSet';
import {
  angle,
  bracket,
  leader,
  level,
  openLine,
  upright,
  weight,
  type DimensionMark,
  type Figure,
  type ShapeMark,
} from '../../figure/marks';
import { pairPieces } from './pairShapes';

/** Figures of two axles that stand as one. */
export const TANDEM_FIGURES: FigureSet = {
  names: { ...COMMON_FIGURES.names, spring: 'spring', rocker: 'rocker', pair: 'frame and axles' },
  ofGroup: { ...COMMON_FIGURES.ofGroup, pairSpring: 'spring', pairRocker: 'rocker', pairFrame: 'pair' },
  sided: (id) => id === 'spring',
  standIn: () => (point) => TYPICAL[point],
  build: (id, parts) => {
    switch (id) {
      case 'spring':
        return springFigure(parts);
      case 'rocker':
        return rockerFigure(parts);
      case 'pair':
        return pairFigure(parts);
      default:
        return commonFigure(id, parts);
    }
  },
};
/** The same without a rocker. */
export const SLIPPER_FIGURES: FigureSet = {
  ...TANDEM_FIGURES,
  names: { ...COMMON_FIGURES.names, spring: 'spring', pair: 'frame and axles' },
};

/** What stands in on a figure for a point that nobody read, mm, kg, rad. */
const TYPICAL: Partial<Record<PointId, number>> = {
  pairLeaves: 4,
  pairFull: 1,
  rockerTilt: 0.08,
  rockerBelow: 0,
  leanFront: 0,
  leanRear: 0,
  framePitch: 0,
  pairTube: 60,
  pairPerch: 15,
  frontAxleLoad: 1000,
  rearAxleLoad: 1000,
};

const SHAPED = ['pairOuter', 'pairInner', 'pairLeaves', 'pairThickness'] as const;

/** The pair of the readings; what nobody read is drawn as usual. */
function shapeRead({ view, values, side }: FigureParts): { shape: PairShape; known: boolean } {
  const of = (point: PointId, at: Side | null = null) => values(point, at).value;
  const rocker =
    view.axle.suspension === 'tandemEqualizer'
      ? { front: of('rockerFront'), rear: of('rockerRear'), below: of('rockerBelow') }
      : null;
  return {
    known: SHAPED.every((point) => values(point).known),
    shape: shapeOf({
      spring: {
        ...{ outer: of('pairOuter'), inner: of('pairInner') },
        ...{ leaves: Math.max(1, Math.round(of('pairLeaves'))), thickness: of('pairThickness') },
      },
      drop: { outer: of('outerDrop'), inner: of('innerDrop') },
      arch: { front: of('pairArchFront', side), rear: of('pairArchRear', side) },
      rocker,
      riser: 0,
      over: view.axle.arrangement !== 'under',
      perch: of('pairPerch'),
      tube: of('pairTube'),
      swing: rocker ? of('rockerTilt') : 0,
      spacing: of('axleSpacing'),
      shackle: of('pairShackle'),
    }),
  };
}

const marksOf = (shape: PairShape, s: Scale, known: boolean): ShapeMark[] =>
  pairPieces(shape, s).map(({ path, look }) => ({ path, look: look === 'line' ? 'thin' : 'outline', known }));

/** The figure beside its line, where the part itself is in the way. */
const beside = (mark: DimensionMark, by: number): DimensionMark => ({ ...mark, x: mark.x + by });

const frameLine = (s: Scale, left: number, right: number): ShapeMark => ({
  path: openLine([
    { x: s.x(left), y: s.y(0) },
    { x: s.x(right), y: s.y(0) },
  ]),
  look: 'ground',
  known: true,
});

/** Both springs of a side: halves, arches, leaves. */
function springFigure(parts: FigureParts): Figure {
  const { values, field, side } = parts;
  const { shape, known } = shapeRead(parts);
  const [front, rear] = [springLine(shape, 'front'), springLine(shape, 'rear')];
  const low = Math.min(front.hub.y, rear.hub.y, front.seat.y - shape.leaves * shape.thickness) - shape.tube / 2 - 12;
  return {
    name: `springs, ${side}`,
    front: true,
    scaled: true,
    extent: { left: front.eye.x - 40, right: rear.eye.x + 40, top: 20, bottom: low },
    margin: { left: 20, right: 20, top: 66, bottom: 124 },
    marks: (s) => {
      const px = (p: { x: number; y: number }) => ({ x: s.x(p.x), y: s.y(p.y) });
      const given = (point: PointId, of: Side | null = null) => ({
        at: field(point, of),
        known: values(point, of).known,
      });
      const under = s.y(low) + 20;
      const chord = (line: typeof front) => {
        const share = Math.abs(line.seat.x - line.eye.x) / (shape.outer + shape.inner);
        return { x: line.seat.x, y: line.eye.y + (line.inner.y - line.eye.y) * share };
      };
      const arch = (line: typeof front, point: PointId) => {
        const mark = upright(given(point, side), px(line.seat), px(chord(line)), s.x(line.seat.x));
        return { ...mark, x: mark.x + (line === rear ? -40 : 40) };
      };
      const leaf = {
        x: rear.seat.x + shape.outer * 0.45,
        y: rear.seat.y + shape.arch.rear * 0.2 - shape.thickness / 2,
      };
      const above = s.y(20) - 34;
      return {
        shapes: [
          frameLine(s, front.eye.x - 40, rear.eye.x + 40),
          ...marksOf(shape, s, known),
          { path: openLine([px(front.eye), px(front.inner)]), look: 'thin', known: true },
          { path: openLine([px(rear.inner), px(rear.eye)]), look: 'thin', known: true },
        ],
        dimensions: [
          level(given('pairOuter'), px(front.eye), px(front.seat), under),
          level(given('pairInner'), px(front.seat), px(front.inner), under),
          arch(front, 'pairArchFront'),
          arch(rear, 'pairArchRear'),
          level(
            given('pairSeat'),
            { x: s.x(rear.hub.x - shape.tube / 2 - 6), y: s.y(rear.hub.y) },
            { x: s.x(rear.hub.x + shape.tube / 2 + 6), y: s.y(rear.hub.y) },
            under,
          ),
          leader(given('pairThickness'), px(leaf), { x: s.x(rear.seat.x + shape.outer * 0.62), y: under }),
          leader(given('pairLeaves'), px({ x: front.seat.x - 60, y: front.seat.y - shape.thickness }), {
            x: s.x(front.seat.x - shape.outer * 0.62),
            y: above,
          }),
          leader(given('pairFull'), px({ x: front.seat.x + 60, y: front.seat.y }), {
            x: s.x(front.seat.x) + 20,
            y: above,
          }),
          leader(given('pairWidth'), px({ x: rear.seat.x - 60, y: rear.seat.y }), {
            x: s.x(rear.seat.x) - 20,
            y: above,
          }),
        ],
        captions: [
          { x: s.x(front.seat.x - shape.outer * 0.62) - 20, y: above - 20, text: 'leaves' },
          { x: s.x(front.seat.x) - 4, y: above - 20, text: 'full length' },
          { x: s.x(rear.seat.x) - 42, y: above - 20, text: 'width' },
          { x: s.x(rear.seat.x + shape.outer * 0.62) - 30, y: under + 30, text: 'thickness' },
        ],
      };
    },
  };
}

/** The rocker between the inner ends, near. */
function rockerFigure(parts: FigureParts): Figure | null {
  const { values, field } = parts;
  const { shape, known } = shapeRead(parts);
  const spots = rockerSpots(shape);
  if (!spots) return null;
  const { pivot, front, rear } = spots;
  const wide = Math.max(shape.rocker!.front, shape.rocker!.rear) * 1.75;
  const ends = [springLine(shape, 'front').inner, springLine(shape, 'rear').inner] as const;
  const low = Math.min(ends[0].y, ends[1].y) - 40;
  return {
    name: 'rocker',
    front: true,
    scaled: true,
    extent: { left: pivot.x - wide, right: pivot.x + wide, top: 30, bottom: low },
    margin: { left: 16, right: 16, top: 20, bottom: 84 },
    marks: (s) => {
      const px = (p: { x: number; y: number }) => ({ x: s.x(p.x), y: s.y(p.y) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const arms = values('rockerFront').known && values('rockerRear').known;
      const under = s.y(low) + 22;
      const flat = { x: pivot.x - wide * 0.8, y: pivot.y };
      const touching = pivot.y + Math.tan(values('rockerStop').value) * wide * 0.8;
      return {
        shapes: [
          frameLine(s, pivot.x - wide, pivot.x + wide),
          ...pairPieces(shape, s)
            .filter((p) => ['rocker', 'shackle', 'pivot', 'pin'].includes(p.part))
            .map(({ path }): ShapeMark => ({ path, look: 'outline', known: known && arms })),
          { path: openLine([px({ x: pivot.x, y: 0 }), px(pivot)]), look: 'thin', known: true },
          { path: openLine([px(flat), px({ x: pivot.x + wide * 0.8, y: pivot.y })]), look: 'thin', known: true },
        ],
        dimensions: [
          level(given('rockerFront'), px(front), px(pivot), under),
          level(given('rockerRear'), px(pivot), px(rear), under),
          {
            ...angle(given('rockerTilt'), px(pivot), px(flat), px(front), 78),
            x: s.x(pivot.x - wide * 0.86),
            y: s.y(pivot.y) - 18,
          },
          angle(
            given('rockerStop'),
            px(pivot),
            px({ x: pivot.x + wide, y: pivot.y }),
            px({ x: pivot.x + wide * 0.8, y: touching }),
            96,
          ),
          bracket(
            given('rockerBelow'),
            { x: s.x(rear.x) + 20, y: s.y(pivot.y) },
            { x: s.x(rear.x) + 20, y: s.y(rear.y) },
            s.x(pivot.x + wide * 0.72),
            { x: s.x(pivot.x + wide * 0.9), y: s.y(pivot.y) + 40 },
          ),
          leader(given('leanFront'), px({ x: ends[0].x, y: ends[0].y }), {
            x: s.x(pivot.x - wide * 0.78),
            y: s.y(ends[0].y) - 6,
          }),
          leader(given('leanRear'), px({ x: ends[1].x, y: ends[1].y }), {
            x: s.x(pivot.x + wide * 0.78),
            y: s.y(ends[1].y) + 24,
          }),
          leader(given('pairShackle'), px({ x: (front.x + ends[0].x) / 2, y: (front.y + ends[0].y) / 2 }), {
            x: s.x(pivot.x),
            y: s.y((front.y + ends[0].y) / 2) + 16,
          }),
        ],
        captions: [
          { x: s.x(pivot.x - wide * 0.78) - 26, y: s.y(ends[0].y) + 24, text: 'lean' },
          { x: s.x(pivot.x + wide * 0.78) - 16, y: s.y(ends[1].y) + 54, text: 'lean' },
          { x: s.x(pivot.x) - 24, y: s.y((front.y + ends[0].y) / 2) + 46, text: 'shackle' },
          { x: s.x(pivot.x + wide * 0.9) - 22, y: s.y(pivot.y) + 68, text: 'below' },
        ],
      };
    },
  };
}

/** The frame over both axles: spacing, drops, pitch, what each axle carries. */
function pairFigure(parts: FigureParts): Figure {
  const { values, field, view } = parts;
  const { shape, known } = shapeRead(parts);
  const [front, rear] = [springLine(shape, 'front'), springLine(shape, 'rear')];
  const low = Math.min(front.hub.y, rear.hub.y) - shape.tube / 2 - 20;
  return {
    name: 'frame and axles',
    front: true,
    scaled: true,
    extent: { left: front.eye.x - 60, right: rear.eye.x + 110, top: 40, bottom: low },
    margin: { left: 66, right: 40, top: 66, bottom: 178 },
    marks: (s) => {
      const px = (p: { x: number; y: number }) => ({ x: s.x(p.x), y: s.y(p.y) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const under = s.y(low) + 20;
      const left = s.x(front.eye.x) - 30;
      const above = s.y(40) - 30;
      return {
        shapes: [frameLine(s, front.eye.x - 60, rear.eye.x + 110), ...marksOf(shape, s, known)],
        dimensions: [
          level(given('axleSpacing'), px(front.hub), px(rear.hub), under),
          beside(upright(given('outerDrop'), { x: s.x(front.eye.x), y: s.y(0) }, px(front.eye), left), -28),
          beside(
            upright(
              given('innerDrop'),
              { x: s.x(rear.inner.x), y: s.y(0) },
              { x: s.x(rear.inner.x), y: s.y(-(shape.innerDrop.front + shape.innerDrop.rear) / 2) },
              s.x(rear.inner.x + 56),
            ),
            30,
          ),
          leader(given('pairTube'), px({ x: front.hub.x, y: front.hub.y - shape.tube / 4 }), {
            x: s.x(front.hub.x) - 76,
            y: under - 4,
          }),
          leader(given('pairPerch'), px({ x: rear.hub.x + 26, y: (rear.hub.y + rear.seat.y) / 2 }), {
            x: s.x(rear.hub.x) + 96,
            y: under - 4,
          }),
          leader(given('framePitch'), px({ x: front.seat.x, y: 0 }), { x: s.x(front.seat.x), y: above }),
          weight(given('frontAxleLoad'), { x: s.x(front.hub.x), y: under + 30 }, under + 76),
          weight(given('rearAxleLoad'), { x: s.x(rear.hub.x), y: under + 30 }, under + 76),
          leader(given('wheelLimit'), { x: s.x(0), y: under + 34 }, { x: s.x(0), y: under + 76 }),
        ],
        captions: [
          { x: s.x(front.seat.x) + 34, y: above + 5, text: 'pitch, nose down' },
          { x: s.x(front.hub.x) - 104, y: under + 28, text: 'tube' },
          { x: s.x(rear.hub.x) + 76, y: under + 28, text: 'perch' },
          { x: s.x(0) - 68, y: under + 110, text: 'one wheel may carry' },
          ...(view.axle.suspension === 'tandemSlipper' ? [{ x: s.x(0) - 30, y: s.y(20), text: 'slippers' }] : []),
        ],
      };
    },
  };
}
