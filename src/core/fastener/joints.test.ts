import { sameNumberOtherUnit, torqueDoubt, type TorqueEntry } from './joints';

const entry = (more: Partial<TorqueEntry>): TorqueEntry => ({
  joint: 'uBolts',
  value: null,
  unit: null,
  source: 'maker',
  stage: 'notYet',
  ...more,
});
const pound = 1355.8179483314;

// Common practice: 20 lbf·ft is 36 % more than 20 N·m.
test('the same number in two units is told, other pairs are not', () => {
  const entries = [
    entry({ joint: 'shockUpper', value: 20 * pound, unit: 'lbf·ft' }),
    entry({ joint: 'shockLower', value: 20_000, unit: 'N·m' }),
    entry({ value: 90 * pound, unit: 'lbf·ft' }),
    entry({ joint: 'frontEye', value: 122_000, unit: 'N·m' }),
    entry({ joint: 'wheelNuts' }),
  ];
  expect(sameNumberOtherUnit(entries)).toEqual([['shockUpper', 'shockLower']]);
});
test('only the part’s own figures stand without a word; an unread one stays empty', () => {
  expect(torqueDoubt(entry({ value: 1e5, unit: 'N·m' }))).toBeNull();
  expect(torqueDoubt(entry({ value: 1e5, unit: 'N·m', source: 'generic' }))).toMatch(/not the maker/);
  expect(torqueDoubt(entry({ value: 1e5, unit: 'N·m', source: 'memory' }))).toMatch(/look it up/);
  expect(torqueDoubt(entry({ source: 'feel', stage: 'final' }))).toMatch(/not verified/);
  expect(torqueDoubt(entry({}))).toBeNull();
});
