import fc from 'fast-check';
import { parseMeasured, type FieldRule } from './parse';
import { PRICE_RULE, TORQUE_RULE } from './rules';

const mm: FieldRule = { dimension: 'length', unit: 'mm', min: 0, max: 2000, alternatives: ['in', 'cm'] };
const inch: FieldRule = { ...mm, unit: 'in' };
const torque: FieldRule = { dimension: 'torque', unit: 'N·m', min: 0, max: 1e6 };

const value = (text: string, rule = mm): number | string => {
  const parsed = parseMeasured(text, rule);
  return parsed.kind === 'ok' ? parsed.value : parsed.kind;
};

test.each([
  // Common practice: how lengths are written in a workshop.
  ['2-3/4 in', 69.85],
  ['31 1/2 in', 800.1],
  ['7/8"', 22.225],
  ['1 5/16 in', 33.3375],
  ['1 ft 3 1/2 in', 393.7],
  ["5' 3", 1600.2],
  ['2 3/4 + 1/8 in', 73.025],
  ['3 in - 4 mm', 72.2],
  ['79,5 mm', 79.5],
  ['79.5', 79.5],
  ['12 cm', 120],
])('reads %s', (text, expected) => expect(value(text)).toBeCloseTo(expected, 9));

test.each([
  ['12-3/4', 12.75 * 25.4],
  ['12 3/4', 12.75 * 25.4],
  ['12 - 3/4', 11.25 * 25.4],
])('in an inch field %s means what a hyphen says there', (text, expected) =>
  expect(value(text, inch)).toBeCloseTo(expected, 9),
);

test('a fraction in a millimetre field is asked about, not stored', () => {
  const parsed = parseMeasured('3 1/8', mm);
  expect(parsed.kind).toBe('ask');
  if (parsed.kind === 'ask') expect(parsed.options.map((o) => o.unit)).toEqual(['in', 'mm']);
});

test('a value more than three times off what is expected is asked about, with the other unit offered', () => {
  const parsed = parseMeasured('19', { ...mm, expected: 480 });
  expect(parsed.kind).toBe('ask');
  if (parsed.kind === 'ask')
    expect(parsed.options).toContainEqual(expect.objectContaining({ unit: 'in', value: 19 * 25.4 }));
});

test('an ambiguous comma is asked about', () => {
  const parsed = parseMeasured('1,250 mm', mm);
  expect(parsed.kind).toBe('ask');
  if (parsed.kind === 'ask') expect(parsed.options.map((o) => o.value)).toEqual([1.25, 1250]);
});

test.each([
  ['twelve', /cannot be read/],
  ['12 lb', /unit of mass|not known|force/],
  ['3/0 in', /0 below the line/],
  ['2 5/4 in', /not less than one/],
  ['-5', /negative/],
  ['9999', /outside/],
  ['5 +', /missing|understood/],
  ['1'.repeat(90), /too long/],
])('refuses %s with the reason', (text, reason) => {
  const parsed = parseMeasured(text, mm);
  expect(parsed.kind).toBe('refused');
  if (parsed.kind === 'refused') expect(parsed.reason).toMatch(reason);
});

test('the same number in N·m and lbf·ft differs by 1.356', () => {
  // 1 lbf·ft = 0.45359237 · 9.80665 · 0.3048 N·m (exact factors of the 1959 yard and pound agreement).
  expect(Number(value('20 ft-lb', torque)) / Number(value('20', torque))).toBeCloseTo(1.3558179, 6);
});

test('property: a mixed inch text means whole plus fraction, however it is spaced', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 70 }),
      fc.integer({ min: 1, max: 63 }),
      fc.constantFrom(' ', '-', '  '),
      fc.constantFrom(' in', '"', 'in', ' inch'),
      (whole, top, gap, unit) => {
        expect(value(`${whole}${gap}${top}/64${unit}`)).toBeCloseTo((whole + top / 64) * 25.4, 9);
      },
    ),
  );
});

test('property: any text at all is answered, never thrown at', () => {
  const rules = [mm, inch, torque];
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 100 }), fc.constantFrom(...rules), (text, rule) => {
      const parsed = parseMeasured(text, rule);
      if (parsed.kind === 'ok') {
        expect(parsed.value).toBeGreaterThanOrEqual(rule.min);
        expect(parsed.value).toBeLessThanOrEqual(rule.max);
      }
    }),
    { numRuns: 500 },
  );
});

describe('several readings of one thing', () => {
  test('count by their mean and tell their spread; a unit on the last is meant for all', () => {
    const parsed = parseMeasured('31 1/2; 31 9/16; 31 1/2 in', mm);
    expect(parsed).toMatchObject({ kind: 'ok', unit: 'in', repeats: { count: 3 } });
    if (parsed.kind !== 'ok') return;
    expect(parsed.value).toBeCloseTo((31.5 + 31.5625 + 31.5) * (25.4 / 3), 9);
    expect(parsed.repeats!.spread).toBeCloseTo(25.4 / 16, 9);
  });
  test('the odd one out is asked about, and once in brackets it stays written and does not count', () => {
    const parsed = parseMeasured('500; 501; 512', mm);
    expect(parsed.kind).toBe('ask');
    if (parsed.kind !== 'ask') return;
    expect(parsed.options.map((o) => [o.label, o.value])).toEqual([
      ['500; 501; (512)', 500.5],
      ['500; 501; 512', (500 + 501 + 512) / 3],
    ]);
    expect(value('500; 501; (512)')).toBe(500.5);
  });
  test('two that differ are both kept: nobody can say which is wrong', () => expect(value('500; 512')).toBe(506));
  test('a doubtful unit is asked about once for all of them', () => {
    const parsed = parseMeasured('19 1/2; 19 5/8', { ...mm, expected: 480 });
    expect(parsed.kind).toBe('ask');
    if (parsed.kind === 'ask')
      expect(parsed.options).toContainEqual(
        expect.objectContaining({
          label: '19 1/2 in; 19 5/8 in',
          unit: 'in',
          value: expect.closeTo((19.5 + 19.625) * 12.7, 9) as number,
        }),
      );
  });
  test.each(['500;', '(500)', '500; (', '1;2;3;4;5;6;7;8;9;10', '500; twelve'])('%s is refused', (text) =>
    expect(parseMeasured(text, mm).kind).toBe('refused'),
  );
  test('the mean lies between the readings and does not hang on their order', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 100, max: 110 }), { minLength: 2, maxLength: 9 }), (values) => {
        const read = (list: number[]) => {
          const parsed = parseMeasured(list.join('; '), mm);
          return parsed.kind === 'ok' ? parsed.value : parsed.kind === 'ask' ? parsed.options.at(-1)!.value : NaN;
        };
        const mean = read(values);
        expect(mean).toBeGreaterThanOrEqual(Math.min(...values));
        expect(mean).toBeLessThanOrEqual(Math.max(...values));
        expect(read(values.toReversed())).toBeCloseTo(mean, 9);
      }),
    ));
});

describe('a range of torque', () => {
  const range: FieldRule = { ...torque, range: true };
  // Common practice: a range counts by its middle.
  test.each(['79–97 lbf·ft', '79 to 97 lbf·ft', '79 - 97 ft-lb'])('%s is its middle, ends kept', (text) => {
    const parsed = parseMeasured(text, range);
    const pound = 1355.8179483314;
    expect(parsed).toMatchObject({ kind: 'ok', unit: 'lbf·ft' });
    if (parsed.kind !== 'ok') return;
    expect(parsed.value).toBeCloseTo(88 * pound, 3);
    expect(parsed.range!.low).toBeCloseTo(79 * pound, 3);
    expect(parsed.range!.high).toBeCloseTo(97 * pound, 3);
  });
  test.each(['79-97 ft-lb', '79-97 lbf·ft'])('a hyphen without spaces does the same: %s', (text) =>
    expect(parseMeasured(text, range)).toMatchObject({
      kind: 'ok',
      value: expect.closeTo(88 * 1355.8179483314, 3) as number,
    }),
  );
  test('a hyphen before a fraction still joins it to its whole number', () =>
    expect(parseMeasured('12-3/4 N·m', range)).toMatchObject({ kind: 'ok', value: 12_750 }));
  test.each(['20', '79-97', '79 to 97'])('%s without a unit is asked about, never taken for newton metres', (text) => {
    const parsed = parseMeasured(text, TORQUE_RULE);
    expect(parsed.kind).toBe('ask');
    if (parsed.kind !== 'ask') return;
    expect(parsed.options.map((o) => o.unit)).toEqual(['N·m', 'lbf·ft']);
    for (const option of parsed.options)
      expect(parseMeasured(option.label, TORQUE_RULE)).toMatchObject({ kind: 'ok', value: option.value });
  });
  test.each(['97–79 N·m', '79–', '–97', 'some to 97'])('%s is refused', (text) =>
    expect(parseMeasured(text, range).kind).toBe('refused'),
  );
  test('a field without ranges reads none', () => expect(parseMeasured('79–97', torque).kind).toBe('refused'));
});

test('a range without a unit takes the field’s, also where that unit has no name to be typed', () => {
  const read = parseMeasured('60 to 80', { ...PRICE_RULE, range: true });
  expect(read).toMatchObject({ kind: 'ok', value: 70, range: { low: 60, high: 80 } });
  expect(parseMeasured('12,50', PRICE_RULE)).toMatchObject({ kind: 'ok', value: 12.5 });
});
