import { lengthRule } from '@/core/units/rules';
import { parseMeasured } from '@/core/units/parse';
import { fractions, press, withFraction, withUnit } from './keypad';

/** Presses keys one after the other; fractions and units are told apart by their look. */
const tap = (...keys: string[]): string =>
  keys.reduce((text, key) => {
    if (key.includes('/')) return withFraction(text, key);
    return /^[a-z]{2}$/.test(key) ? withUnit(text, key) : press(text, key);
  }, '');

test.each([
  [['3', '1', '1/2', 'in'], '31 1/2 in', 800.1],
  [['3', '1', '1/4', '9/16', 'in'], '31 9/16 in', 31.5625 * 25.4],
  [['3', '1', 'in', '1/2'], '31 1/2 in', 800.1],
  [['7/8', 'in'], '7/8 in', 22.225],
  [['2', '3/4', '+', '1/8', 'in'], '2 3/4 + 1/8 in', 73.025],
  [['5', '0', '0', ';', '5', '0', '2', 'mm'], '500; 502 mm', 501],
  [['3', ' in', 'del', '4', 'mm'], '34 mm', 34],
])('%j types %s', (keys, text, mm) => {
  const typed = tap(...keys.map((k) => (k === ' in' ? 'in' : k)));
  expect(typed).toBe(text);
  const parsed = parseMeasured(typed, lengthRule(0, 2000));
  expect(parsed).toMatchObject({ kind: 'ok' });
  if (parsed.kind === 'ok') expect(parsed.value).toBeCloseTo(mm, 9);
});

test('one touch takes off a whole fraction, a unit or a sign', () => {
  expect(press('31 1/2', 'del')).toBe('31');
  expect(press('31 in', 'del')).toBe('31');
  expect(press('3 + ', 'del')).toBe('3');
  expect(press('', 'del')).toBe('');
});

test('the strips hold every sixteenth and every other thirty-second', () => {
  const value = (f: string) => Number(f.split('/')[0]) / Number(f.split('/')[1]);
  expect([...fractions(false), ...fractions(true)].map(value).sort((p, q) => p - q)).toEqual(
    Array.from({ length: 31 }, (_, k) => (k + 1) / 32),
  );
});
