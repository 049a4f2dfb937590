import fc from 'fast-check';
import { costTotals, eachOf, type CostLine } from './costs';

const line = (more: Partial<CostLine>): CostLine => ({
  ...{ what: 'x', count: 1, condition: 'new', planned: null, actual: null, minutes: null, actualMinutes: null },
  ...{ excluded: false },
  ...more,
});
const flat = (value: number) => ({ low: value, high: value });

test('ranges add end by end, and what is excluded is named and not counted (common practice)', () => {
  const totals = costTotals([
    line({ planned: flat(200) }),
    line({ planned: { low: 60, high: 80 } }),
    line({ planned: flat(40), condition: 'used' }),
    line({ what: 'paint', planned: flat(90), excluded: true }),
    line({ what: 'freight' }),
  ]);
  expect(totals.planned).toEqual({ low: 300, high: 320 });
  expect(totals.new).toEqual({ low: 260, high: 280 });
  expect(totals.used).toEqual(flat(40));
  expect(totals.excluded).toEqual(['paint']);
  expect(totals.unpriced).toBe(1);
});

test('four for six are one and a half each (common practice)', () => {
  expect(eachOf(flat(6), 4)).toEqual(flat(1.5));
});

test('what was paid is held against what these same lines had been planned at', () => {
  const totals = costTotals([
    line({ planned: { low: 50, high: 70 }, actual: 74, minutes: { low: 30, high: 60 }, actualMinutes: 80 }),
    line({ planned: flat(500) }),
  ]);
  expect(totals.actual).toBe(74);
  expect(totals.plannedOfPaid).toEqual({ low: 50, high: 70 });
  expect(totals.actualMinutes).toBe(80);
});

test('the order of the lines does not matter, and new and used make the whole', () => {
  const arb = fc.array(
    fc.record({
      a: fc.integer({ min: 0, max: 999 }),
      b: fc.integer({ min: 0, max: 999 }),
      used: fc.boolean(),
      out: fc.boolean(),
    }),
  );
  fc.assert(
    fc.property(arb, (given) => {
      const lines = given.map(({ a, b, used, out }) =>
        line({
          planned: { low: Math.min(a, b), high: Math.max(a, b) },
          condition: used ? 'used' : 'new',
          excluded: out,
        }),
      );
      const totals = costTotals(lines);
      expect(costTotals(lines.toReversed()).planned).toEqual(totals.planned);
      expect(totals.new.low + totals.used.low).toBe(totals.planned.low);
      expect(totals.planned.low).toBeLessThanOrEqual(totals.planned.high);
    }),
  );
});
