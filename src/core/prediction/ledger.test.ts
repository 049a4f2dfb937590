import fc from 'fast-check';
import { LEAF_LINES } from '../suspension/longitudinalLeaf/lines';
import { printedLedger, summarise, type LedgerLine } from './ledger';

const line = (kind: LedgerLine['kind'], value: number): LedgerLine => ({ kind, label: kind, value, half90: 1 });

/** A consistent ledger: the total is the sum of the rest; settling follows it. */
const ledger = fc.array(fc.double({ min: -80, max: 80, noNaN: true }), { minLength: 1, maxLength: 6 }).map((values) => {
  const changes = values.map((value, i) => line(LEAF_LINES[i % LEAF_LINES.length]!, value));
  const lines = [line('measured', 487.3), ...changes, line('load', -21.4), line('together', 1.7)];
  const sum = lines.reduce((s, l) => s + l.value, 0);
  return [...lines, line('total', sum), line('settling', -5)];
});

test('property: printed figures add up as printed, in millimetres and sixteenths', () => {
  fc.assert(
    fc.property(ledger, fc.constantFrom(1, 25.4 / 16), (lines, step) => {
      const printed = printedLedger(lines, step);
      const sum = printed.filter((l) => l.kind !== 'total' && l.kind !== 'settling').reduce((s, l) => s + l.steps, 0);
      const total = printed.find((l) => l.kind === 'total')!;
      expect(sum).toBe(total.steps);
      for (const l of printed)
        if (l.kind !== 'together') expect(Math.abs(l.steps * step - l.value)).toBeLessThanOrEqual(step / 2 + 1e-9);
    }),
  );
});

test('property: the change in a load state leaves the load out, and before plus change is after', () => {
  fc.assert(
    fc.property(ledger, (lines) => {
      const { before, after, change } = summarise(lines);
      expect(before).toBeCloseTo(487.3 - 21.4, 6);
      expect(before! + change).toBeCloseTo(after!, 6);
    }),
  );
});

test('without a before height there is a change and no height', () => {
  const { before, after, change } = summarise([line('leafArch', 20), line('together', 0), line('total', 20)]);
  expect([before, after, change]).toEqual([null, null, 20]);
});
