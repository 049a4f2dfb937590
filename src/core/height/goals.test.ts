import { type SheetReading } from '../sheet/reading';
import { goalValue, judgeGoal } from './goals';

const reading = (point: SheetReading['point'], side: SheetReading['side'], value: number): SheetReading => ({
  point,
  side,
  value,
  phase: 'after',
  leafId: null,
  stateId: 'today',
  rolled: true,
});
const read: SheetReading[] = [
  reading('hubToLip', 'left', 520),
  reading('hubToLip', 'right', 512),
  reading('groundToLip', 'left', 860),
  reading('groundToLip', 'right', 850),
  reading('otherAxleLip', 'left', 830),
  reading('otherAxleLip', 'right', 832),
  { ...reading('hubToHub', 'left', 3002), stateId: null },
  { ...reading('hubToHub', 'right', 3000), stateId: null },
  reading('rideScore', null, 6),
];

test.each([
  ['lean', 8],
  ['rake', 24],
  ['square', 2],
  ['ride', 6],
] as const)('%s is %d, worked by hand', (kind, expected) =>
  expect(goalValue(kind, read, 'after', 'today', 'rear')).toBe(expected),
);

test('at the front axle the same readings are a rake of the other sign', () =>
  expect(goalValue('rake', read, 'after', 'today', 'front')).toBe(-24));

test('one goal met and another not are both said; a height in another load state does not count', () => {
  expect(judgeGoal({ kind: 'square', target: 0, tolerance: 3 }, read, 'today', 'rear').met).toBe(true);
  expect(judgeGoal({ kind: 'ride', target: 8, tolerance: 1 }, read, 'today', 'rear').met).toBe(false);
  expect(judgeGoal({ kind: 'ride', target: 5, tolerance: 0 }, read, 'today', 'rear').met).toBe(true);
  expect(judgeGoal({ kind: 'lean', target: 0, tolerance: 5 }, read, 'laden', 'rear').met).toBeNull();
  expect(judgeGoal({ kind: 'noise', target: 8, tolerance: 1 }, read, 'today', 'rear')).toEqual({
    value: null,
    met: null,
    missing: ['noiseScore'],
  });
});
