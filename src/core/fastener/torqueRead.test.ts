import { type TorqueEntry } from './joints';
import { oddUnit, torquePlace, type TorqueTarget } from './torqueRead';

const POUND = 1355.8179483314;
const pounds = (value: number) => ({ value: value * POUND, unit: 'lbf·ft' as const });
const newtons = (value: number) => ({ value: value * 1000, unit: 'N·m' as const });
// Common practice: 80 is no middle of 79 to 97, 88 is.
const RANGE: TorqueTarget = { ...pounds(88), range: { low: 79 * POUND, high: 97 * POUND } };

test.each([
  [pounds(80), RANGE, 'low end: 1.0 lbf·ft above the minimum', false],
  [pounds(88), RANGE, 'well within the range', false],
  [pounds(96), RANGE, 'high end: 1.0 lbf·ft below the maximum', false],
  [pounds(75), RANGE, '4.0 lbf·ft under the least', true],
  [newtons(119), RANGE, 'well within the range', false],
  [newtons(88), RANGE, '88.0 N·m is 64.9 lbf·ft: was lbf·ft meant?', true],
  [pounds(20), newtons(20), '20.0 lbf·ft is 27.1 N·m: was N·m meant?', true],
  [newtons(21), newtons(20), '1.0 N·m over what is asked', true],
  [newtons(20.5), newtons(20), 'as asked', false],
])('%o against %o', (read, target, text, look) => expect(torquePlace(read, target)).toEqual({ text, look }));

test('one figure in another unit than the rest of its sheet is questioned by itself', () => {
  const entry = (joint: TorqueEntry['joint'], more: { value: number; unit: string }): TorqueEntry => ({
    ...{ joint, source: 'maker', stage: 'notYet' },
    ...more,
  });
  const metric = [entry('uBolts', newtons(120)), entry('frontEye', newtons(150)), entry('wheelNuts', newtons(140))];
  expect(oddUnit(metric)).toBeNull();
  expect(oddUnit([...metric, entry('shockLower', pounds(20))])).toEqual({
    joint: 'shockLower',
    text: 'the only figure here in lbf·ft: 20.0 lbf·ft is 27.1 N·m. Is the unit right?',
  });
  expect(oddUnit([...metric.slice(1, 2), entry('shockLower', pounds(20))])).toBeNull();
  expect(oddUnit([...metric, entry('shockLower', pounds(20)), entry('shockUpper', pounds(20))])).toBeNull();
});
