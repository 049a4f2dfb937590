import fc from 'fast-check';
import { readLine, writeLine } from './instrumentLine';

test('a line is read as it was written, torque and angle units too', () => {
  const line = {
    number: 7,
    values: [
      { quantity: 'force', value: 1520, unit: 'N' as const },
      { quantity: 'arch', value: -84.25, unit: 'mm' as const },
    ],
    settled: true,
    word: 'loading',
  };
  expect(writeLine(line, 2)).toMatch(/^GW1 7 force=1520\.00N arch=-84\.25mm S loading [0-9A-F]{2}$/);
  expect(readLine(writeLine(line, 2))).toEqual(line);
  const torque = {
    number: 1,
    values: [{ quantity: 'torque', value: 118_000, unit: 'N·m' as const }],
    settled: false,
    word: null,
  };
  expect(readLine(writeLine(torque, 1))).toEqual(torque);
});

test('property: one flipped character is never read as another value', () => {
  const good = writeLine(
    { number: 12, values: [{ quantity: 'mass', value: 541.2, unit: 'kg' }], settled: true, word: null },
    1,
  );
  fc.assert(
    fc.property(fc.nat({ max: good.length - 1 }), fc.integer({ min: 33, max: 126 }), (at, code) => {
      const bad = good.slice(0, at) + String.fromCharCode(code) + good.slice(at + 1);
      if (bad !== good) expect(readLine(bad)).toBeUndefined();
    }),
  );
});

test.each(['', 'GW1', 'hello world 00', 'GW1 5 mass=x1kg S 00', 'GW1 5 S 9F'])('%j is garbled', (text) =>
  expect(readLine(text)).toBeUndefined(),
);
