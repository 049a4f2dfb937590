import { activeTurns, type Coil } from '@/core/mechanics/coil/coil';
import { type PointId } from '@/core/measure/points';
import { coilStrands } from '@/core/suspension/coil/elevation';
import { USUAL_ENDS } from '@/core/suspension/coil/sideModel';
import { type Side } from '@/core/vehicle/side';
import { type Scale } from '../../drawing/scale';
import { COMMON_FIGURES, commonFigure, type FigureParts, type FigureSet } from '../../figure/figureSet';
import {
  angle,
  bracket,
  leader,
  level,
  openLine,
  outline,
  ring,
  upright,
  type Figure,
  type ShapeMark,
} from '../../figure/marks';

/** Figures of an axle on coils. */
export const COIL_FIGURES: FigureSet = {
  names: { ...COMMON_FIGURES.names, coil: 'coil', seat: 'where it stands' },
  ofGroup: { ...COMMON_FIGURES.ofGroup, coil: 'coil', coilSeat: 'seat' },
  sided: (id) => id === 'coil',
  standIn: () => (point) => (point === 'coilSpacer' ? 0 : undefined),
  build: (id, parts) =>
    id === 'coil' ? coilFigure(parts) : id === 'seat' ? seatFigure(parts) : commonFigure(id, parts),
};

/** The coil of the readings; sizes that are no coil are drawn as the usual one. */
function coilOf({ view, values, side }: Pick<FigureParts, 'view' | 'values' | 'side'>): Coil {
  const [wire, outside, turns] = (['coilWire', 'coilOutside', 'coilTurns'] as const).map((p) => values(p).value);
  const coil: Coil = {
    ...{ wire: wire!, mean: outside! - wire!, turns: turns! },
    ends: view.seen.coilEnds ?? USUAL_ENDS,
    free: values('coilFree', side).value,
  };
  try {
    activeTurns(coil);
    return coil;
  } catch {
    return { ...coil, turns: 8, ends: USUAL_ENDS };
  }
}

/** A piece of round wire seen from the side: two straight edges, rounded where it turns away. */
function bar(a: Pixel, b: Pixel, c: Pixel, d: Pixel, r: number, rightward: boolean): string {
  const n = (v: number) => v.toFixed(1);
  const round = (to: Pixel) => `A${n(r)} ${n(r)} 0 0 ${rightward ? 1 : 0} ${n(to.x)} ${n(to.y)}`;
  return `M${n(a.x)} ${n(a.y)}L${n(b.x)} ${n(b.y)}${round(c)}L${n(d.x)} ${n(d.y)}${round(a)}Z`;
}
interface Pixel {
  x: number;
  y: number;
}

/** Outlines of the wire's half turns, those in front last. */
export function strandShapes(coil: Coil, length: number, s: Scale, x: number, y: number, known: boolean): ShapeMark[] {
  const half = coil.wire / 2;
  return coilStrands(coil, length)
    .toSorted((p, q) => Number(p.front) - Number(q.front))
    .map(({ from, to, front }): ShapeMark => {
      // An end that was ground flat does not stand out of its seat.
      const within = (up: number) => Math.min(length, Math.max(0, up));
      const px = (p: { x: number; y: number }, dy: number) => ({ x: s.x(x + p.x), y: s.y(y + within(p.y + dy)) });
      return front
        ? {
            path: bar(px(from, half), px(to, half), px(to, -half), px(from, -half), half * s.perMm, from.x < to.x),
            look: 'steel',
            known,
          }
        : { path: openLine([px(from, 0), px(to, 0)]), look: 'thin', known };
    });
}

function coilFigure(parts: FigureParts): Figure {
  const { values, field, side } = parts;
  const coil = coilOf(parts);
  const pressed = values('coilLength', side);
  const spacer = values('coilSpacer');
  const outside = coil.mean + coil.wire;
  const half = outside / 2;
  const top = pressed.value + spacer.value;
  const sizes = (['coilWire', 'coilOutside', 'coilTurns'] as const).every((p) => values(p).known);
  return {
    name: `coil, ${side}`,
    front: false,
    scaled: true,
    extent: { left: -half - 20, right: half + 20, top: top + 40, bottom: -40 },
    margin: { left: 150, right: 190, top: 36, bottom: 84 },
    marks: (s) => {
      const given = (point: PointId, of: Side | null = null) => ({
        at: field(point, of),
        known: values(point, of).known,
      });
      const plate = (from: number, to: number, wide: number): ShapeMark => ({
        path: outline([
          { x: s.x(-wide), y: s.y(from) },
          { x: s.x(wide), y: s.y(from) },
          { x: s.x(wide), y: s.y(to) },
          { x: s.x(-wide), y: s.y(to) },
        ]),
        look: 'outline',
        known: true,
      });
      const shapes: ShapeMark[] = [
        ...strandShapes(coil, pressed.value, s, 0, 0, sizes && pressed.known),
        plate(-14, 0, half + 14),
        plate(top, top + 14, half + 14),
        ...(spacer.value > 0 ? [{ ...plate(pressed.value, top, half + 4), known: spacer.known }] : []),
      ];
      const right = s.x(half) + 30;
      // A finger's width apart, however small the coil is drawn.
      const mid = s.y(pressed.value * 0.5);
      const apart = Math.max(60, 0.28 * pressed.value * s.perMm);
      return {
        shapes,
        dimensions: [
          upright(
            given('coilLength', side),
            { x: s.x(-half), y: s.y(0) },
            { x: s.x(-half), y: s.y(pressed.value) },
            s.x(-half) - 56,
          ),
          level(given('coilOutside'), { x: s.x(-half), y: s.y(-14) }, { x: s.x(half), y: s.y(-14) }, s.y(-40) + 30),
          leader(
            given('coilWire'),
            { x: s.x(half * 0.4), y: s.y(pressed.value * 0.28) },
            { x: right + 66, y: mid + apart },
          ),
          leader(given('coilTurns'), { x: s.x(half * 0.5), y: s.y(pressed.value * 0.5) }, { x: right + 66, y: mid }),
          leader(
            given('coilFree', side),
            { x: s.x(half * 0.5), y: s.y(pressed.value * 0.74) },
            { x: right + 66, y: mid - apart },
          ),
        ],
        captions: [
          { x: right + 24, y: mid + apart - 20, text: 'wire' },
          { x: right + 24, y: mid - 20, text: 'turns, end to end' },
          { x: right + 24, y: mid - apart - 20, text: 'lying free' },
        ],
      };
    },
  };
}

/** Where the coil stands: its lean, its arm about the pivot and the hub's, and the spacers on its seat. */
function seatFigure(parts: FigureParts): Figure {
  const { values, field } = parts;
  const [arm, hub] = [values('coilArm'), values('hubArm')];
  const [lean, spacer] = [values('coilLean'), values('coilSpacer')];
  const far = Math.max(hub.value, arm.value);
  const tall = far * 0.55;
  return {
    name: 'where it stands',
    front: false,
    scaled: true,
    extent: { left: -30, right: far + 80, top: tall + 60, bottom: -90 },
    margin: { left: 24, right: 110, top: 16, bottom: 96 },
    marks: (s) => {
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const tip = px(arm.value - Math.sin(lean.value) * tall, Math.cos(lean.value) * tall);
      const shapes: ShapeMark[] = [
        { path: openLine([px(0, 0), px(hub.value, 0)]), look: 'outline', known: arm.known && hub.known },
        { path: ring(px(0, 0), 8), look: 'outline', known: true },
        { path: ring(px(hub.value, 0), 12), look: 'outline', known: hub.known },
        { path: openLine([px(arm.value, 0), tip]), look: 'steel', known: lean.known },
        { path: openLine([px(arm.value, 0), px(arm.value, tall)]), look: 'thin', known: true },
        {
          path: openLine([
            { x: tip.x - 46, y: tip.y },
            { x: tip.x + 46, y: tip.y },
          ]),
          look: 'outline',
          known: true,
        },
      ];
      const under = s.y(-90) + 14;
      return {
        shapes,
        dimensions: [
          level(given('coilArm'), px(0, 0), px(arm.value, 0), under),
          level(given('hubArm'), px(0, 0), px(hub.value, 0), under + 44),
          angle(given('coilLean'), px(arm.value, 0), px(arm.value, tall), tip, 70),
          bracket(
            given('coilSpacer'),
            { x: tip.x + 46, y: tip.y },
            { x: tip.x + 46, y: tip.y + Math.max(4, spacer.value * s.perMm) },
            tip.x + 62,
            { x: tip.x + 130, y: tip.y + 4 },
          ),
        ],
        captions: [
          { x: s.x(0) + 8, y: s.y(0) + 26, text: 'pivot' },
          { x: s.x(hub.value) + 8, y: s.y(0) + 30, text: 'hub' },
          { x: tip.x + 96, y: tip.y - 18, text: 'spacers' },
        ],
      };
    },
  };
}
