import { flatbedSheet } from '../../../../tests/reference/sheets';
import { draw } from '../../estimate/tree';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { LeafSideModel } from './sideModel';
import { type LeafReading, type PlannedChange } from './sheet';

const leafed = (point: LeafReading['point'], leafId: string | null, value: number): LeafReading => ({
  ...{ point, phase: 'before', side: null, leafId, stateId: null, value, rolled: null },
});
const input = (changes: readonly PlannedChange[], ...more: LeafReading[]) => {
  const sheet = flatbedSheet(changes);
  return assemble({ ...sheet, readings: [...sheet.readings, ...more] }).input;
};
const left = (...given: Parameters<typeof input>) => finish(predictAxle(input(...given), false)).sides.left!;
const BLOCK: PlannedChange = { kind: 'block', height: 30 };

/** Deflection of a lone cantilever that thins out parabolically, over one of even thickness: 3 ∫ y² (t(y)/t₀)⁻³ dy. */
function softer(tip: number, thick: number): number {
  const share = (tip / thick) ** 2;
  const steps = 2000;
  const at = (y: number) => y * y * (share + (1 - share) * y) ** -1.5;
  return (3 * Array.from({ length: steps }, (_, k) => at((k + 0.5) / steps)).reduce((s, v) => s + v, 0)) / steps;
}

test('a lone leaf that thins out is as much softer as the beam’s integral says; a tip as thick as the seat is no taper', () => {
  const alone = (...more: LeafReading[]) => {
    const sheet = flatbedSheet([BLOCK]);
    const light = sheet.readings.map((r) => (r.point === 'axleLoad' ? { ...r, value: 320 } : r));
    const { input: one } = assemble({ ...sheet, leafIds: ['a'], readings: [...light, ...more] });
    return finish(predictAxle(one, false)).sides.left!.states[0]!.old!.rate;
  };
  const ratio = alone() / alone(leafed('leafTip', 'a', 4));
  expect(Math.abs(ratio / softer(4, 8) - 1)).toBeLessThan(0.05);
  expect(input([BLOCK], leafed('leafTip', 'a', 8))).toEqual(input([BLOCK]));
});

test('leaves that thin out still nest: a pack of them carries on all its leaves', () => {
  const thin = left([BLOCK], ...['a', 'b', 'c', 'd', 'e', 'f'].map((id) => leafed('leafTip', id, 5)));
  const stresses = thin.states[0]!.old!.peakStress.map(Math.abs);
  // A leaf that hung free below the others would carry nothing.
  expect(Math.min(...stresses)).toBeGreaterThan(0.25 * Math.max(...stresses));
});

const CLIPS = [leafed('clipFront', 'c', 300), leafed('clipRear', 'c', 320), leafed('clipPlay', null, 1)];

test('clips hold the leaves together where the axle hangs, and change nothing where it stands', () => {
  const [free, clipped] = [left([BLOCK]), left([BLOCK], ...CLIPS)];
  expect(clipped.states[0]!.old!.rate).toBeCloseTo(free.states[0]!.old!.rate, 1);
  const droop = ({ travel }: typeof free) => travel!.droopToday!;
  // The main leaf alone would hang far down.
  expect(Math.abs(droop(clipped) - travelOf(clipped))).toBeLessThan(0.95 * Math.abs(droop(free) - travelOf(free)));
  function travelOf({ travel }: typeof free): number {
    return travel!.today;
  }
});

test('a clip goes with the leaf that carries it', () => {
  const model = (...changes: PlannedChange[]) => {
    const drawn = draw(input(changes, ...CLIPS), (e) => e.value);
    return new LeafSideModel(drawn, 'left').onBench(drawn.changes)!.pack.clips?.map((c) => c.holds);
  };
  expect(model(BLOCK)).toEqual([2, 2]);
  expect(model({ kind: 'removeLeaf', leaf: 3 })).toEqual([]);
  expect(model({ kind: 'removeLeaf', leaf: 2 })).toEqual([1, 1]);
  expect(model({ kind: 'addLeaf', front: 600, rear: 640, thickness: 8, camber: 90, source: 'measured' })).toEqual([
    3, 3,
  ]);
});

test('a rear eye of another bore stands at its own height over the leaf', () => {
  const { pack } = input([BLOCK], leafed('eyeBoreRear', null, 50));
  // Upturned: half a bore and half a leaf above the middle of the main leaf.
  expect(pack!.eyeOffset.value).toBeCloseTo(20 + 4, 6);
  expect(pack!.eyeOffsetRear!.value).toBeCloseTo(25 + 4, 6);
});
