import fc from 'fast-check';
import { decimalText, echoText, fractionSpoken, fractionText, inchFraction, quantityText } from './format';

test('fractions are reduced, signed with a true minus and spoken', () => {
  expect(fractionText(20.625 * 25.4)).toBe('20 5/8');
  expect(fractionText(-0.5 * 25.4)).toBe('−1/2');
  expect(fractionText(0.001)).toBe('0');
  expect(fractionSpoken(20.625 * 25.4)).toBe('20 and 5 over 8 inches');
});

test('no minus before a rounded zero', () => {
  expect(decimalText(-0.04, 1)).toBe('0.0');
  expect(decimalText(-0.06, 1)).toBe('−0.1');
});

test('the echo names both systems', () => {
  expect(echoText(79.375, 'in')).toBe('3.125 in = 79.4 mm');
  expect(echoText(79.375, 'mm')).toBe('79.4 mm = 3.125 in');
  expect(quantityText(Math.PI / 2, 'deg')).toBe('90.0 °');
});

test('property: the nearest sixteenth is never further than half a sixteenth', () => {
  fc.assert(
    fc.property(fc.double({ min: -3000, max: 3000, noNaN: true }), (mm) => {
      const f = inchFraction(mm);
      const back = (f.negative ? -1 : 1) * (f.whole + f.top / f.bottom) * 25.4;
      expect(Math.abs(back - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-9);
    }),
  );
});
