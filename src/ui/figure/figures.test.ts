import { finish } from '@/core/finish';
import { predictAxle } from '@/core/suspension/solvers';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { pointOf, type PointId } from '@/core/measure/points';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { viewOf } from '../../../tests/reference/views';
import { fit } from '../drawing/scale';
import { allFields, fieldKey, type FieldAt } from '../measure/fields';
import { COIL_FIGURES } from '../suspension/coil/coilFigures';
import { SLIPPER_FIGURES, TANDEM_FIGURES } from '../suspension/tandem/tandemFigures';
import { coilFiguresOf } from '../suspension/coil/coilFigureSets';
import { SHEAR_FIGURES } from '../suspension/rubberShear/shearFigures';
import { CROSS_FIGURES } from '../suspension/transverseLeaf/crossFigures';
import { clipsFigure } from '../suspension/longitudinalLeaf/clipsFigure';
import { benchFigure, leavesFigure } from '../suspension/longitudinalLeaf/leafFigures';
import { TOUCH, type Figure, type Marks } from './marks';
import { springFigure } from '../suspension/longitudinalLeaf/springFigure';
import { stackFigure, threadFigure } from '../suspension/longitudinalLeaf/stackFigure';
import { leafStandIn } from '../suspension/longitudinalLeaf/figures';
import { figureValues, type Values } from './values';
import { endFigure, roadFigure, vehicleFigure, type FieldOf } from './vehicleFigures';

const full = flatbedSheet([]);
const empty = { ...full, readings: [] };
const elevation = finish(predictAxle({ ...assemble(full).input, changes: [] }, false)).sides.left!.states[0]!.old!
  .elevation;
const field: FieldOf = (point: PointId, side = null, leafId = null): FieldAt => ({
  point,
  side,
  leafId,
  stateId: pointOf(point).loaded ? 'today' : null,
});

const figuresOf = (values: Values, arrangement: 'over' | 'under'): Figure[] => [
  endFigure(values, field),
  vehicleFigure(values, field, 'rear'),
  roadFigure(values, field),
  ...(['left', 'right'] as const).map((side) => springFigure(values, field, side, elevation, true)),
  stackFigure(values, field, arrangement),
  threadFigure(values, field),
  leavesFigure(values, field, full.leafIds),
  clipsFigure(values, field, full.leafIds, () => true),
  ...(['left', 'right'] as const).map((side) => benchFigure(values, field, side)),
];
const drawn = (figure: Figure, width: number): Marks => figure.marks(fit(figure.extent, width, figure.margin));

const CASES = [
  ['a full sheet', full, 'over'],
  ['a full sheet, spring under the axle', full, 'under'],
  ['an empty sheet', empty, 'over'],
] as const;

test.each(CASES)('%s: every field has its dimension, and nothing is drawn at no place', (_, sheet, arrangement) => {
  const figures = figuresOf(figureValues(viewOf(sheet), 'today', leafStandIn(viewOf(sheet))), arrangement);
  const keys = new Set(figures.flatMap((f) => drawn(f, 540).dimensions.map((d) => fieldKey(d.at))));
  const base = allFields(viewOf(sheet)).filter((at) => at.stateId === null || at.stateId === 'today');
  expect(base.map(fieldKey).filter((key) => !keys.has(key))).toEqual([]);
  for (const figure of figures)
    for (const mark of [...drawn(figure, 540).dimensions, ...drawn(figure, 540).shapes])
      expect(`${figure.name} ${mark.path}`).not.toMatch(/NaN|Infinity|undefined/);
});

/** How much two touch areas cover one another, px; 0 when they stand clear. */
function overlap(p: { x: number; y: number }, q: { x: number; y: number }): number {
  const across = TOUCH - Math.abs(p.x - q.x);
  const down = TOUCH - Math.abs(p.y - q.y);
  return across > 0 && down > 0 ? Math.min(across, down) : 0;
}

/** Pairs of dimensions that a finger would confuse: their touch areas cover one another by more than half. */
const confused = (figures: readonly Figure[], width: number): string[] =>
  figures.flatMap((figure) => {
    const { dimensions } = drawn(figure, width);
    return dimensions.flatMap((p, i) =>
      dimensions
        .slice(i + 1)
        .filter((q) => overlap(p, q) > TOUCH / 2)
        .map((q) => `${width} ${figure.name}: ${fieldKey(p.at)} and ${fieldKey(q.at)} by ${overlap(p, q).toFixed(0)}`),
    );
  });

test.each(CASES)(
  '%s: a finger finds each dimension: touch areas cover one another by less than half',
  (_, sheet, arrangement) => {
    const figures = figuresOf(figureValues(viewOf(sheet), 'today', leafStandIn(viewOf(sheet))), arrangement);
    expect([540, 370].flatMap((width) => confused(figures, width))).toEqual([]);
  },
);

test.each([
  'tandemEqualizer',
  'tandemSlipper',
  'coilBeam',
  'transverseLeaf',
  'rubberShear',
  'twinBeam',
  'torsionBeam',
  'coilOver',
] as const)('a sheet of %s: every field has its dimension on the paper, and a finger finds it', (suspension) => {
  const leaf = viewOf(empty);
  const view = { ...leaf, leaves: [], axle: { ...leaf.axle, suspension } };
  const set = {
    ...{ tandemEqualizer: TANDEM_FIGURES, tandemSlipper: SLIPPER_FIGURES },
    ...{
      coilBeam: COIL_FIGURES,
      transverseLeaf: CROSS_FIGURES,
      rubberShear: SHEAR_FIGURES,
      twinBeam: coilFiguresOf('twinBeam'),
    },
    ...{ torsionBeam: coilFiguresOf('torsionBeam'), coilOver: coilFiguresOf('coilOver') },
  }[suspension];
  const values = figureValues(view, 'today', set.standIn?.(view));
  const figures = Object.keys(set.names).flatMap((id) =>
    (set.sided(id, view) ? (['left', 'right'] as const) : (['left'] as const)).flatMap(
      (side) => set.build(id, { view, values, field, side, stateId: 'today' }) ?? [],
    ),
  );
  const keys = new Set(figures.flatMap((f) => drawn(f, 540).dimensions.map((d) => fieldKey(d.at))));
  const asked = allFields(view).filter((at) => at.stateId === null || at.stateId === 'today');
  expect(asked.map(fieldKey).filter((key) => !keys.has(key))).toEqual([]);
  for (const width of [540, 370]) {
    expect(confused(figures, width)).toEqual([]);
    for (const figure of figures)
      for (const { x, y, path, at } of drawn(figure, width).dimensions) {
        expect(`${fieldKey(at)} ${path}`).not.toMatch(/NaN|Infinity|undefined/);
        expect([width, fieldKey(at), x > 10 && x < width - 10 && y > 0]).toEqual([width, fieldKey(at), true]);
      }
  }
});

test('dimensions stand inside the paper', () => {
  for (const width of [540, 370])
    for (const figure of figuresOf(figureValues(viewOf(full), 'today', leafStandIn(viewOf(full))), 'over')) {
      const s = fit(figure.extent, width, figure.margin);
      for (const { x, y, at } of figure.marks(s).dimensions) {
        expect([figure.name, fieldKey(at), x > 10 && x < width - 10]).toEqual([figure.name, fieldKey(at), true]);
        expect([figure.name, fieldKey(at), y > 0 && y < s.height + (figure.below ?? 0)]).toEqual([
          figure.name,
          fieldKey(at),
          true,
        ]);
      }
    }
});

test('what is read is drawn solid at its own length, what is not is dotted from a stand-in', () => {
  const values = figureValues(viewOf(full), 'today', leafStandIn(viewOf(full)));
  expect(values('hubToLip', 'left')).toEqual({ value: 520, known: true });
  expect(values('groundToLip', 'left')).toMatchObject({ known: false, value: 350 + 520 });
  expect(values('padLoad', 'left')).toEqual({ known: false, value: 725 });
  // One side alone stands in for the other.
  const left = { ...full, readings: full.readings.filter((r) => !(r.point === 'hubToLip' && r.side === 'right')) };
  expect(figureValues(viewOf(left), 'today', leafStandIn(viewOf(left)))('hubToLip', 'right')).toEqual({
    value: 520,
    known: false,
  });
  // In another load state nothing of today is called read.
  expect(figureValues(viewOf(full), 'laden', leafStandIn(viewOf(full)))('loadedArch', 'left').known).toBe(false);
  const end = drawn(endFigure(values, field), 540);
  const height = end.dimensions.find((d) => d.at.point === 'hubToLip' && d.at.side === 'left')!;
  const s = fit(endFigure(values, field).extent, 540, endFigure(values, field).margin);
  const ys = [...height.path.matchAll(/[MV](?:[\d.]+ )?([\d.]+)/g)].map((m) => Number(m[1]));
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(520 * s.perMm, 0);
});
