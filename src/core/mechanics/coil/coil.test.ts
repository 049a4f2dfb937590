import fc from 'fast-check';
import {
  activeTurns,
  coilRate,
  coilRatio,
  coilStress,
  solidHeight,
  staysStraight,
  turnGap,
  wahl,
  type Coil,
} from './coil';

const coil: Coil = { wire: 14, mean: 110, turns: 9, ends: 'closedGround', free: 420 };

test('twenty-two over eighteen of wire, all else equal, is 2.23 times the rate', () => {
  const rate = (wire: number) => coilRate({ ...coil, wire, mean: 120 });
  expect(rate(22) / rate(18)).toBeCloseTo(2.23, 2);
});

test('property: rate goes by the fourth power of the wire and falls with the cube of the diameter and with the turns', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 8, max: 20, noNaN: true }),
      fc.double({ min: 4, max: 12, noNaN: true }),
      (wire, index) => {
        const mean = wire * index;
        const at = (w: number, d: number, turns: number) => coilRate({ wire: w, mean: d, turns, ends: 'open' });
        expect(at(wire, mean * 2, 8) / at(wire, mean, 8)).toBeCloseTo(1 / 8, 9);
        expect(at(wire, mean, 16) / at(wire, mean, 8)).toBeCloseTo(0.5, 9);
      },
    ),
  );
});

test('work put into a coil is kept by its wire: half the force times its way is the twist’s own energy', () => {
  // Twisting moment F·D/2 over the wire's length π·D·n with G·J: an energy of its own, told without the rate.
  const force = 3000;
  const length = Math.PI * coil.mean * activeTurns(coil);
  const polar = (Math.PI * coil.wire ** 4) / 32;
  const twist = ((force * coil.mean) / 2) ** 2 * (length / (2 * 79_300 * polar));
  expect(force ** 2 / (2 * coilRate(coil)) / twist).toBeCloseTo(1, 6);
});

test('gaps add up to the way until it is solid, and ends that are ground stand a wire lower', () => {
  expect(turnGap(coil, 260) * activeTurns(coil)).toBeCloseTo(260 - solidHeight(coil), 9);
  expect(solidHeight({ ...coil, ends: 'closed' }) - solidHeight(coil)).toBeCloseTo(14, 9);
  expect(turnGap(coil, solidHeight(coil))).toBeCloseTo(0, 9);
});

test('a wire curved tightly is stressed more than the handbook bar: 1.25 at an index of 6', () => {
  expect(wahl(6)).toBeCloseTo(1.2525, 3);
  expect(coilStress(coil, 4000)).toBeGreaterThan((8 * 4000 * 110) / (Math.PI * 14 ** 3));
});

test('a slender coil may bow out, the more so where a seat can tilt; a leaning one carries less and gives more', () => {
  expect(staysStraight({ free: 520, mean: 100 }, 0.5)).toBe(true);
  expect(staysStraight({ free: 520, mean: 100 }, 0.7)).toBe(false);
  expect(coilRatio(0, 1)).toBe(1);
  expect(coilRatio(Math.PI / 9, 0.8)).toBeCloseTo(0.752, 3);
});

test('figures that are no coil are refused by name', () => {
  expect(() => coilRate({ ...coil, turns: 2 })).toThrow(/coilTurns/);
  expect(() => coilRate({ ...coil, mean: 20 })).toThrow(/coilMean/);
  expect(() => coilRatio(1.2, 1)).toThrow(/coilLean/);
});
