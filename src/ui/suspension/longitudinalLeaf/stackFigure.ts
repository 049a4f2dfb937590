import { type PointId } from '@/core/measure/points';
import {
  bracket,
  leader,
  level,
  outline,
  ring,
  upright,
  type DimensionMark,
  type Figure,
  type ShapeMark,
} from '../../figure/marks';
import { type Values } from '../../figure/values';
import { type FieldOf } from '../../figure/vehicleFigures';

/** Room between figures in the column, px. */
const ROW = 46;

/** Tube, perch, block and clamped pack with its U-bolts, from the side; drawn upside down for a spring under the axle. */
export function stackFigure(values: Values, field: FieldOf, arrangement: 'over' | 'under'): Figure {
  const [tube, perch, block, pack] = (['tubeDiameter', 'perchHeight', 'blockHeight', 'packThickness'] as const).map(
    (p) => values(p),
  );
  const plate = values('plateThickness');
  const spacing = values('uboltSpacing');
  const [nut, exposed] = (['uboltNut', 'uboltExposed'] as const).map((p) => values(p));
  const radius = tube!.value / 2;
  const levels = { perch: radius, block: radius + perch!.value, pack: radius + perch!.value + block!.value };
  const packTop = levels.pack + pack!.value;
  const plateTop = packTop + plate.value;
  const nutTop = plateTop + nut!.value;
  const legTop = nutTop + exposed!.value;
  const up = arrangement === 'over' ? 1 : -1;
  const half = spacing.value / 2;
  const [high, low] = [legTop + 10, -radius - 16];
  return {
    name: `axle stack, spring ${arrangement} the axle`,
    front: true,
    scaled: true,
    extent: {
      left: -half - 40,
      right: half + 40,
      top: up > 0 ? high : -low,
      bottom: up > 0 ? low : -high,
    },
    margin: { left: 130, right: 150, top: 50, bottom: 66 },
    marks: (s) => {
      const at = (x: number, y: number) => ({ x: s.x(x), y: s.y(up * y) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const box = (from: number, to: number, wide: number) =>
        outline([at(-wide, from), at(-wide, to), at(wide, to), at(wide, from)]);
      const shapes: ShapeMark[] = [
        { path: ring(at(0, 0), radius * s.perMm), look: 'outline', known: tube!.known },
        { path: box(levels.perch * 0.92, levels.block, half * 0.7), look: 'outline', known: perch!.known },
        { path: box(levels.block, levels.pack, half * 0.85), look: 'steel', known: block!.known },
        { path: box(levels.pack, packTop, half + 36), look: 'steel', known: pack!.known },
        { path: box(packTop, plateTop, half + 26), look: 'outline', known: plate.known },
      ];
      for (const out of [-1, 1]) {
        const x = out * (half + 6);
        shapes.push({
          path: outline([at(x - 6, -radius * 0.6), at(x - 6, legTop), at(x + 6, legTop), at(x + 6, -radius * 0.6)]),
          look: 'outline',
          known: spacing.known && exposed!.known,
        });
        shapes.push({
          path: outline([at(x - 12, plateTop), at(x - 12, nutTop), at(x + 12, nutTop), at(x + 12, plateTop)]),
          look: 'steel',
          known: nut!.known,
        });
      }
      // Figures of the stack stand in a column on the right, in the order of the pieces.
      const column = s.x(half + 40) + 100;
      const right = s.x(half + 40) + 14;
      const pieces: [PointId, number, number][] = [
        ['plateThickness', packTop, plateTop],
        ['packThickness', levels.pack, packTop],
        ['blockHeight', levels.block, levels.pack],
        ['perchHeight', levels.perch, levels.block],
        ['tubeDiameter', -radius, radius],
      ];
      const middle = (s.y(up * packTop) + s.y(up * -radius)) / 2;
      const order = up > 0 ? pieces : pieces.toReversed();
      const dimensions: DimensionMark[] = order.map(([point, from, to], k) =>
        bracket(given(point), at(half + 36, from), at(half + 36, to), right, {
          x: column,
          y: middle + (k - 2) * ROW,
        }),
      );
      // Dowel and hole below and above each other where the spring meets its perch.
      const seat = at(0, levels.pack);
      const span = s.y(0) - s.y(up * levels.pack);
      const aside = (k: number) => ({ x: s.x(-half - 40) - 70, y: middle + (k + 0.5) * ROW });
      dimensions.push(leader(given('dowelDiameter'), { x: seat.x - 4, y: seat.y }, aside(up > 0 ? 0 : -1)));
      dimensions.push(
        leader(given('padHole'), { x: seat.x - 8, y: seat.y + Math.sign(span) * 5 }, aside(up > 0 ? 1 : -2)),
      );
      const clear = up > 0 ? s.y(up * legTop) - 24 : s.y(up * legTop) + 24;
      dimensions.push(level(given('uboltSpacing'), at(-half, packTop), at(half, packTop), clear));
      return { shapes, dimensions, captions: [] };
    },
  };
}

/** The threaded end of one U-bolt leg, enlarged. */
export function threadFigure(values: Values, field: FieldOf): Figure {
  const [nut, exposed, threaded, pitch] = (['uboltNut', 'uboltExposed', 'uboltThreaded', 'uboltPitch'] as const).map(
    (p) => values(p),
  );
  const top = nut!.value + exposed!.value;
  const low = Math.min(-20, top - threaded!.value - 8);
  return {
    name: 'one U-bolt leg, nut end',
    front: false,
    scaled: true,
    extent: { left: -45, right: 45, top: top + 4, bottom: low },
    margin: { left: 150, right: 150, top: 40, bottom: 84 },
    marks: (s) => {
      const at = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const end = top - threaded!.value;
      const turns = Array.from(
        { length: Math.min(60, Math.floor(threaded!.value / pitch!.value)) },
        (_, k) => top - k * pitch!.value,
      );
      const y = Math.min(s.y(top), 200);
      return {
        shapes: [
          { path: outline([at(-7, low), at(-7, top), at(7, top), at(7, low)]), look: 'outline', known: exposed!.known },
          {
            path: turns.map((t) => `M${s.x(-7)} ${s.y(t)}L${s.x(7)} ${s.y(t - pitch!.value / 2)}`).join(''),
            look: 'thin',
            known: pitch!.known && threaded!.known,
          },
          {
            path: outline([at(-15, 0), at(-15, nut!.value), at(15, nut!.value), at(15, 0)]),
            look: 'steel',
            known: nut!.known,
          },
          { path: outline([at(-40, -12), at(-40, 0), at(40, 0), at(40, -12)]), look: 'steel', known: true },
        ],
        dimensions: [
          bracket(given('uboltExposed'), at(7, nut!.value), at(7, top), s.x(24), { x: s.x(45) + 74, y: y + 22 }),
          bracket(given('uboltNut'), at(15, 0), at(15, nut!.value), s.x(24), { x: s.x(45) + 74, y: y + 22 + ROW + 20 }),
          upright(given('uboltThreaded'), at(-7, end), at(-7, top), s.x(-45) - 40),
          leader(given('uboltPitch'), at(-5, top - pitch!.value), { x: s.x(-45) - 92, y: y - 4 }),
          leader(given('uboltThread'), at(5, top - 2), { x: s.x(45) + 74, y: y - 26 }),
        ],
        captions: [],
      };
    },
  };
}
