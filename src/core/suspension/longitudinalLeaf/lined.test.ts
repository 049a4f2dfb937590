import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { consistency } from './consistency';
import { type LeafReading, type PlannedChange, type Sheet } from './sheet';

const once = (point: LeafReading['point'], value: number): LeafReading => ({
  ...{ point, phase: 'before', side: null, leafId: null, stateId: null, value, rolled: null },
});
const lined = (changes: readonly PlannedChange[], ...more: LeafReading[]): Sheet => {
  const sheet = flatbedSheet(changes);
  return { ...sheet, readings: [...sheet.readings, ...more] };
};
const LINER = once('leafLiner', 2);
const OUT: PlannedChange = { kind: 'removeLeaf', leaf: 3 };
const left = (sheet: Sheet) => finish(predictAxle(assemble(sheet).input, false)).sides.left!.states[0]!;

test('a liner goes out with its leaf, rubs less and leaves the rate to the steel', () => {
  const [bare, with2] = [left(lined([OUT])), left(lined([OUT], LINER))];
  const thickness = (state: typeof bare) => state.ledger.find((l) => l.kind === 'leafThickness')!.value;
  expect(thickness(bare)).toBeCloseTo(-8, 6);
  expect(thickness(with2)).toBeCloseTo(-10, 6);
  expect(with2.old!.frictionHeight).toBeLessThan(0.7 * bare.old!.frictionHeight);
  expect(with2.old!.rate / bare.old!.rate).toBeGreaterThan(0.97);
  expect(with2.old!.rate / bare.old!.rate).toBeLessThan(1.03);
  // Leaves are drawn apart by what lies between them.
  const depth = ({ leaves }: NonNullable<typeof bare.old>['elevation']) => {
    const middle = leaves.map((leaf) => leaf.points[Math.floor(leaf.points.length / 2)]!.y);
    return middle[0]! - middle.at(-1)!;
  };
  expect(depth(with2.old!.elevation) - depth(bare.old!.elevation)).toBeGreaterThan(7);
});

test('none is none, and liners count in what the pack measures', () => {
  const none = assemble(lined([], once('leafLiner', 0))).input;
  expect(none).toEqual(assemble(lined([])).input);
  const pack = (thick: number) => consistency(lined([], LINER, once('packThickness', thick))).map((f) => f.rule);
  expect(pack(6 * 8 + 5 * 2)).toEqual([]);
  expect(pack(6 * 8)).toEqual(['packSum']);
  // Pads lie at the tips only: the clamped pack is no thicker for them.
  const padded = left(lined([OUT], once('tipPad', 3)));
  expect(padded.ledger.find((l) => l.kind === 'leafThickness')!.value).toBeCloseTo(-8, 6);
});
