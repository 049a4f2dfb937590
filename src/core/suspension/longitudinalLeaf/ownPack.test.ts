import { type Side } from '../../vehicle/side';
import { atLips } from '../../vehicle/roll';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { consistency } from './consistency';
import { type LeafReading, type Sheet } from './sheet';

const read = (point: LeafReading['point'], value: number, more: Partial<LeafReading> = {}): LeafReading => ({
  ...{ point, phase: 'before', side: null, leafId: null, stateId: null, value, rolled: null },
  ...more,
});

/** The flatbed with a pack of four leaves on the right, wider and shorter than the six on the left. */
function unlike(): Sheet {
  const sheet = flatbedSheet();
  const leafIds = ['w', 'x', 'y', 'z'];
  const own = [
    read('eyeToPinFront', 640, { side: 'right' }),
    read('eyeToPinRear', 690, { side: 'right' }),
    read('leafWidth', 76, { side: 'right' }),
    read('eyeBore', 40, { side: 'right' }),
    ...leafIds.flatMap((leafId, i) => [
      read('leafThickness', 9, { leafId }),
      ...(i === 0 ? [] : [read('leafFront', 640 - 150 * i, { leafId }), read('leafRear', 690 - 160 * i, { leafId })]),
    ]),
  ];
  return { ...sheet, readings: [...sheet.readings, ...own], own: { side: 'right', pack: sheet.pack, leafIds } };
}

/** A sheet where the right side’s pack stands for both. */
function alone(): Sheet {
  const { own, ...sheet } = unlike();
  const ofPack = (r: LeafReading) => ['eyeToPinFront', 'eyeToPinRear', 'leafWidth', 'eyeBore'].includes(r.point);
  const readings = sheet.readings
    .filter((r) => r.side === 'right' || !ofPack(r))
    .map((r) => (ofPack(r) ? { ...r, side: null } : r));
  return { ...sheet, leafIds: own!.leafIds, readings };
}

test('each side’s spring is foretold from its own pack, as if that were the pack of both; the body joins them', () => {
  const whole = assemble(unlike()).input;
  const { lipOverBase, ...apart } = whole;
  const both = finish(predictAxle(apart));
  const [six, four] = [flatbedSheet(), alone()].map((sheet) => finish(predictAxle(assemble(sheet).input)));
  expect(both.sides.left!.states).toEqual(six!.sides.left!.states);
  expect(both.sides.right!.states).toEqual(four!.sides.right!.states);
  expect(both.sides.left!.states[0]!.old!.elevation.leaves).toHaveLength(6);
  expect(both.sides.right!.states[0]!.old!.elevation.leaves).toHaveLength(4);
  const joined = finish(predictAxle(whole)).sides;
  for (const k of [0, 1]) {
    const change = (sides: typeof joined, side: Side) => sides[side]!.states[k]!.change;
    const alone = { left: change(both.sides, 'left'), right: change(both.sides, 'right') };
    const lips = atLips(alone, lipOverBase!.value);
    for (const side of ['left', 'right'] as const) {
      const state = joined[side]!.states[k]!;
      expect(state.change).toBeCloseTo(lips[side], 9);
      expect(state.after).toBeCloseTo(state.before! + lips[side], 9);
      const lines = state.ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling');
      expect(lines.reduce((sum, l) => sum + l.value, 0)).toBeCloseTo(state.after!, 9);
    }
  }
});

test('what the own pack lacks is named for its side, and keeps only that side from being solved', () => {
  const sheet = unlike();
  const readings = sheet.readings.filter((r) => r.point !== 'leafWidth' || r.side !== 'right');
  const { input, missing } = assemble({ ...sheet, readings });
  expect(missing).toEqual([{ point: 'leafWidth', side: 'right', leafId: null }]);
  expect(input.sides.left.spring).not.toBeNull();
  expect(input.sides.right.spring).toBeNull();
  // An arch of the other pack does not stand in for this one.
  const noArch = assemble({
    ...sheet,
    readings: sheet.readings.filter((r) => r.point !== 'loadedArch' || r.side === 'left'),
  });
  expect(noArch.missing).toEqual([{ point: 'loadedArch', side: 'right', leafId: null }]);
});

test('a contradiction within the own pack is pointed out on its side; unlike springs are none', () => {
  expect(consistency(unlike())).toEqual([]);
  const sheet = unlike();
  const turned = sheet.readings.map((r) => (r.leafId === 'y' && r.point === 'leafFront' ? { ...r, value: 610 } : r));
  const flags = consistency({ ...sheet, readings: turned });
  expect(flags.length).toBeGreaterThan(0);
  expect(flags.flatMap((f) => f.at.map((at) => at.leafId))).toContain('y');
});
