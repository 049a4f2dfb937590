import { flatbedSheet } from '../../../../tests/reference/sheets';
import { GRAVITY } from '../../material/steel';
import { assemble } from './assemble';
import { parseMeasured } from '../../units/parse';
import { fromCore } from '../../units/units';
import { POINT_IDS, pointOf, type PointId } from '../../measure/points';
import { provisional } from './provisional';
import { type Sheet } from './sheet';

const without = (sheet: Sheet, ...points: PointId[]): Sheet => ({
  ...sheet,
  readings: sheet.readings.filter((r) => !points.includes(r.point)),
});

test('a full sheet lacks nothing and measured values stay measured', () => {
  const { input, missing } = assemble(flatbedSheet());
  expect(missing).toEqual([]);
  expect(input.pack!.leaves).toHaveLength(6);
  expect(input.pack!.width).toEqual({ value: 70, half90: 0.5, origin: 'measured' });
  expect(input.pack!.inactive.origin).toBe('assumed');
  expect(input.rolled).toBe(true);
});

test('what is missing is named in measuring order and nothing is invented for it', () => {
  const { input, missing } = assemble(without(flatbedSheet(), 'leafWidth', 'loadedArch', 'uboltSpacing'));
  expect(missing.map((m) => m.point)).toEqual(['loadedArch', 'uboltSpacing', 'leafWidth']);
  expect(input.pack).toBeNull();
  expect(input.sides.left.spring).toBeNull();
});

test('optional readings fall back to a default that says it is one', () => {
  const { input, missing } = assemble(
    without(flatbedSheet(), 'shackleLength', 'shackleAngle', 'eyeBore', 'tubeDiameter'),
  );
  expect(missing).toEqual([]);
  expect(input.shackle!.length).toMatchObject({ value: 105, origin: 'assumed' });
  expect(input.tubeDiameter.half90).toBeGreaterThan(assemble(flatbedSheet()).input.tubeDiameter.half90);
});

test('the load on a spring is half the axle less its unsprung mass, and pads beat an estimate', () => {
  const sheet = flatbedSheet();
  const estimated = assemble(sheet).input.sides.left.spring!.load;
  expect(estimated.value).toBeCloseTo(((1450 - 265) / 2) * GRAVITY, 6);
  const pad = (side: 'left' | 'right', value: number) =>
    ({ point: 'padLoad', phase: 'before', side, leafId: null, stateId: 'today', value, rolled: null }) as const;
  const weighed = assemble({ ...sheet, readings: [...sheet.readings, pad('left', 740), pad('right', 710)] }).input;
  expect(weighed.sides.left.spring!.load.value).toBeGreaterThan(weighed.sides.right.spring!.load.value);
  expect(weighed.sides.left.spring!.load.half90).toBeLessThan(estimated.half90);
});

test('an arch read on one side stands in for the other, marked assumed and wider', () => {
  const sheet = flatbedSheet();
  const oneSided = { ...sheet, readings: sheet.readings.filter((r) => r.point !== 'loadedArch' || r.side === 'left') };
  const { left, right } = assemble(oneSided).input.sides;
  expect(right.spring!.archTop).toEqual({
    ...left.spring!.archTop,
    origin: 'assumed',
    half90: 2 * left.spring!.archTop.half90,
  });
});

test('one height read without rolling makes the whole set unrolled', () => {
  const sheet = flatbedSheet();
  const readings = sheet.readings.map((r) =>
    r.point === 'hubToLip' && r.side === 'right' ? { ...r, rolled: false } : r,
  );
  expect(assemble({ ...sheet, readings }).input.rolled).toBe(false);
});

test('a second load state takes the share of its axle by statics', () => {
  // 400 kg 2,900 mm behind the front axle of a 3,200 mm wheelbase.
  expect(assemble(flatbedSheet()).input.states[1]!.extraMass.value).toBeCloseTo((400 * 2900) / 3200, 9);
});

test('an empty sheet can be drawn from typical values, and says how many stand in', () => {
  const empty = { ...flatbedSheet(), readings: [] };
  const { sheet, filled } = provisional(empty);
  expect(assemble(sheet).missing).toEqual([]);
  expect(filled).toBeGreaterThan(15);
  const full = provisional(flatbedSheet());
  expect(full.filled).toBe(0);
  expect(full.sheet.readings).toEqual(flatbedSheet().readings);
});

test.each(POINT_IDS.filter((id) => pointOf(id).rule.expected !== undefined))(
  'typing the typical value of %s is accepted without a question',
  (id) => {
    const { rule } = pointOf(id);
    const typed = String(Number(fromCore(rule.expected!, rule.unit).toPrecision(4)));
    expect(parseMeasured(typed, rule).kind).toBe('ok');
  },
);
