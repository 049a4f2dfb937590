import { parseMeasured, type FieldRule } from './parse';
import { massRule } from './rules';
import { dimensionSpelled, fromCore, UNITS, unitSpelled, type UnitId } from './units';

/* Exact factors: international yard and pound agreement 1959; standard gravity, 3rd CGPM 1901. */
test.each<[number, UnitId, number, UnitId]>([
  [1, 'in', 25.4, 'mm'],
  [1, 'ft', 12, 'in'],
  [1, 'lb', 0.45359237, 'kg'],
  [1, 'lbf', 4.4482216152605, 'N'],
  [1, 'kgf', 9.80665, 'N'],
  [1, 'lbf·ft', 1.3558179483314, 'N·m'],
  [1, 'lbf·ft', 12, 'lbf·in'],
  [1, 'kgf·m', 9.80665, 'N·m'],
  [1, 'lbf/in', 0.17512683524647636, 'N/mm'],
  [180, 'deg', 180, 'deg'],
])('%s %s is %s %s', (amount, from, expected, to) => {
  expect(fromCore(amount * UNITS[from].factor, to)).toBeCloseTo(expected, 9);
});

test('one spelling means one unit inside a dimension', () => {
  const seen = new Map<string, string>();
  for (const unit of Object.values(UNITS))
    for (const spelling of unit.spellings) {
      const key = `${unit.dimension} ${spelling}`;
      expect([key, seen.get(key)]).toEqual([key, undefined]);
      seen.set(key, unit.id);
      expect(unitSpelled(spelling.toUpperCase(), unit.dimension)?.id).toBe(unit.id);
      expect(dimensionSpelled(spelling)).toBeDefined();
    }
});

test.each([
  ['1,200 lb', massRule(0, 20_000), 'ask'],
  ['1200 lb', massRule(0, 20_000), 'ok'],
  ['1.2 t', massRule(0, 20_000), 'ok'],
  ['60 N·m', massRule(0, 20_000), 'refused'],
  ['62 lb', massRule(100, 20_000), 'refused'],
] as [string, FieldRule, string][])('%s at a mass field: %s', (text, rule, kind) => {
  expect(parseMeasured(text, rule).kind).toBe(kind);
});

test('a bare number that can only be pounds is offered as pounds', () => {
  const parsed = parseMeasured('9000', massRule(50, 6000, 1200));
  expect(parsed.kind).toBe('ask');
  if (parsed.kind === 'ask') expect(parsed.options.map((o) => o.unit)).toEqual(['lb']);
});

test('a thousands comma is offered as thousands and as a decimal point, written so that it reads plainly later', () => {
  const rule = massRule(0, 20_000);
  const parsed = parseMeasured('1,200 lb', rule);
  if (parsed.kind !== 'ask') throw new Error('was not asked');
  for (const option of parsed.options) {
    const again = parseMeasured(option.label, rule);
    expect(again).toEqual({ kind: 'ok', value: option.value, unit: option.unit });
  }
  expect(parsed.options.map((o) => o.label)).toEqual(['1.200 lb', '1200 lb']);
});
