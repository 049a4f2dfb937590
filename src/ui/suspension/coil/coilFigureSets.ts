import { type PointId } from '@/core/measure/points';
import { type CoilKind } from '@/core/suspension/coil/input';
import { type Side } from '@/core/vehicle/side';
import { COMMON_FIGURES, type FigureParts, type FigureSet } from '../../figure/figureSet';
import {
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
import { COIL_FIGURES, strandShapes } from './coilFigures';

/** What stands in for a point of an arm or unit that nobody read, mm. */
const TYPICAL: Partial<Record<PointId, number>> = { coilSpacer: 0, pivotRise: 40 };

const setWith = (
  names: Record<string, string>,
  ofGroup: Record<string, string>,
  build: (id: string, parts: FigureParts) => Figure | undefined,
): FigureSet => ({
  ...COIL_FIGURES,
  names: { ...COMMON_FIGURES.names, coil: 'coil', seat: 'where it stands', ...names },
  ofGroup: { ...COIL_FIGURES.ofGroup, ...ofGroup },
  sided: (id) => id === 'coil' || id === 'unit',
  standIn: () => (point) => TYPICAL[point],
  build: (id, parts) => build(id, parts) ?? COIL_FIGURES.build(id, parts),
});

const PIVOT = { pivot: 'pivot bush' } as const;
const SETS: Record<CoilKind, FigureSet> = {
  coilBeam: COIL_FIGURES,
  twinBeam: setWith({ swing: 'beam', ...PIVOT }, { coilSwing: 'swing', coilPivot: 'pivot' }, (id, parts) =>
    id === 'swing' ? beamFigure(parts) : id === 'pivot' ? bushFigure(parts) : undefined,
  ),
  torsionBeam: setWith(PIVOT, { coilPivot: 'pivot' }, (id, parts) => (id === 'pivot' ? bushFigure(parts) : undefined)),
  coilOver: setWith({ unit: 'unit' }, { coilUnit: 'unit' }, (id, parts) =>
    id === 'unit' ? unitFigure(parts) : undefined,
  ),
};
/** The figures of an axle on coils of a kind. */
export const coilFiguresOf = (kind: CoilKind): FigureSet => SETS[kind];

/** One beam from behind: how far its hub stands below its pivot, and the radius arm that holds it. */
function beamFigure({ values, field }: FigureParts): Figure {
  const [rise, arm, radius] = [values('pivotRise'), values('hubArm'), values('radiusArm')];
  const hub = { x: arm.value, y: -rise.value };
  const low = Math.min(0, hub.y) - 70;
  return {
    name: 'beam, the right one from behind',
    front: false,
    scaled: true,
    extent: { left: -60, right: arm.value + 120, top: Math.max(0, hub.y) + 90, bottom: low },
    margin: { left: 24, right: 96, top: 20, bottom: 96 },
    marks: (s) => {
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const known = rise.known && arm.known;
      return {
        shapes: [
          { path: openLine([px(0, 70), px(0, 0), px(hub.x, hub.y)]), look: 'outline', known },
          { path: ring(px(0, 0), 8), look: 'outline', known: true },
          { path: ring(px(hub.x, hub.y), 11), look: 'outline', known },
          { path: openLine([px(0, 0), px(arm.value + 60, 0)]), look: 'thin', known: true },
          {
            path: openLine([px(arm.value * 0.62, -rise.value * 0.62), px(arm.value * 0.5, low + 20)]),
            look: 'thin',
            known: radius.known,
          },
        ],
        dimensions: [
          {
            ...upright(given('pivotRise'), px(hub.x, 0), px(hub.x, hub.y), s.x(hub.x) + 46),
            x: s.x(hub.x) + 62,
          },
          leader(given('radiusArm'), px(arm.value * 0.56, -rise.value * 0.3 + low * 0.4), {
            x: s.x(arm.value * 0.5),
            y: s.y(low) + 34,
          }),
        ],
        captions: [
          { x: s.x(0) + 10, y: s.y(0) + 26, text: 'pivot' },
          { x: s.x(arm.value * 0.5) - 46, y: s.y(low) + 68, text: 'radius arm, forward' },
        ],
      };
    },
  };
}

/** The pivot's bush: shell, sleeve, length of its rubber. */
function bushFigure({ values, field }: FigureParts): Figure {
  const [shell, sleeve, length] = [values('pivotShell'), values('pivotSleeve'), values('pivotLength')];
  const [ro, ri] = [shell.value / 2, Math.min(shell.value / 2 - 1, sleeve.value / 2)];
  const x = ro * 3.2;
  const wide = length.value;
  return {
    name: 'bush of the pivot',
    front: false,
    scaled: true,
    extent: { left: -ro - 10, right: x + wide + 14, top: ro + 6, bottom: -ro - 6 },
    margin: { left: 90, right: 80, top: 30, bottom: 92 },
    marks: (s) => {
      const px = (a: number, b: number) => ({ x: s.x(a), y: s.y(b) });
      const given = (point: PointId) => ({ at: field(point), known: values(point).known });
      const box = (half: number): ShapeMark => ({
        path: outline([px(x, half), px(x + wide, half), px(x + wide, -half), px(x, -half)]),
        look: 'outline',
        known: length.known && shell.known,
      });
      return {
        shapes: [
          { path: ring(px(0, 0), ro * s.perMm), look: 'steel', known: shell.known },
          { path: ring(px(0, 0), ri * s.perMm), look: 'outline', known: sleeve.known },
          box(ro),
          box(ri),
        ],
        dimensions: [
          { ...upright(given('pivotShell'), px(-ro * 0.2, ro), px(-ro * 0.2, -ro), s.x(-ro) - 40), x: s.x(-ro) - 48 },
          leader(given('pivotSleeve'), px(ri * 0.7, -ri * 0.7), { x: s.x(0), y: s.y(-ro) + 56 }),
          level(given('pivotLength'), px(x, -ro), px(x + wide, -ro), s.y(-ro) + 40),
        ],
        captions: [
          { x: s.x(0) - 16, y: s.y(-ro) + 88, text: 'bore' },
          { x: s.x(x + wide / 2) - 22, y: s.y(-ro) + 72, text: 'rubber' },
        ],
      };
    },
  };
}

/** Coil over its damper, hanging fully open; grooves of its lower seat. */
function unitFigure({ values, field, side }: FigureParts): Figure {
  const [open, pitch] = [values('coilOpen', side), values('perchPitch')];
  const [wire, outside, turns] = [values('coilWire'), values('coilOutside'), values('coilTurns')];
  const half = outside.value / 2;
  const coil = {
    ...{ wire: wire.value, mean: outside.value - wire.value, turns: Math.max(4, turns.value) },
    ...{ ends: 'closedGround' as const, free: open.value },
  };
  const tail = half * 1.3;
  const at = (side_: Side | null, point: PointId) => ({ at: field(point, side_), known: values(point, side_).known });
  return {
    name: `unit hanging, ${side}`,
    front: false,
    scaled: true,
    extent: { left: -half - 20, right: half + 20, top: open.value + 34, bottom: -tail - 20 },
    margin: { left: 96, right: 130, top: 20, bottom: 30 },
    marks: (s) => {
      const px = (x: number, y: number) => ({ x: s.x(x), y: s.y(y) });
      const box = (l: number, r: number, b: number, t: number): ShapeMark => ({
        path: outline([px(l, b), px(r, b), px(r, t), px(l, t)]),
        look: 'outline',
        known: true,
      });
      const step = Math.max(pitch.value, 7 / s.perMm);
      const grooves = [1, 2, 3, 4].map((n): ShapeMark => ({
        path: openLine([px(-half * 0.3, -step * n), px(half * 0.3, -step * n)]),
        look: 'thin',
        known: pitch.known,
      }));
      return {
        shapes: [
          ...strandShapes(coil, open.value, s, 0, 0, open.known),
          box(-half - 8, half + 8, open.value, open.value + 12),
          box(-half - 8, half + 8, -10, 0),
          box(-half * 0.3, half * 0.3, -tail, -10),
          ...grooves,
          { path: ring(px(0, -tail), 9), look: 'outline', known: true },
        ],
        dimensions: [
          upright(at(side, 'coilOpen'), px(-half, 0), px(-half, open.value), s.x(-half) - 50),
          bracket(at(null, 'perchPitch'), px(half * 0.3, -step), px(half * 0.3, -2 * step), s.x(half * 0.3) + 26, {
            x: s.x(half) + 70,
            y: s.y(-1.5 * step),
          }),
        ],
        captions: [{ x: s.x(half) + 36, y: s.y(-1.5 * step) - 24, text: 'groove to groove' }],
      };
    },
  };
}
