import fc from 'fast-check';
import { GRAVITY } from '../material/steel';
import { axleShares, bounceFrequency, springLoads, smallBumpRate } from './load';

test('property: axle shares carry the payload and balance its moment', () => {
  const payload = fc.record({
    mass: fc.double({ min: -2000, max: 5000, noNaN: true }),
    station: fc.double({ min: -2000, max: 9000, noNaN: true }),
  });
  fc.assert(
    fc.property(payload, fc.double({ min: 1000, max: 6000, noNaN: true }), (p, wheelbase) => {
      const { front, rear } = axleShares(p, wheelbase);
      expect(front + rear).toBeCloseTo(p.mass, 6);
      expect(rear * wheelbase).toBeCloseTo(p.mass * p.station, 3);
    }),
  );
});

test('a load right over the rear axle goes to it alone; behind it the front is relieved', () => {
  expect(axleShares({ mass: 300, station: 3000 }, 3000)).toEqual({ front: 0, rear: 300 });
  expect(axleShares({ mass: 300, station: 3900 }, 3000).front).toBeCloseTo(-90, 9);
});

test('springs see more than the pad difference: track over spring base', () => {
  const { left, right } = springLoads(620, 580, 200, 1.5);
  expect(left + right).toBeCloseTo((620 + 580 - 200) * GRAVITY, 6);
  expect(left - right).toBeCloseTo((620 - 580) * 1.5 * GRAVITY, 6);
});

test('bounce frequency of a mass on two springs with stiff tyres is √(k/m)/2π', () => {
  const mass = 800;
  const expected = Math.sqrt((2 * 40_000) / mass) / (2 * Math.PI);
  expect(bounceFrequency(40, 1e9, mass * GRAVITY)).toBeCloseTo(expected, 4);
});

test('more unsprung mass than the pads carry is refused', () => {
  expect(() => springLoads(100, 100, 300, 1.5)).toThrow(/unsprungMass/);
});

test('a small bump meets rate plus half-band over amplitude; the smaller the bump, the harsher', () => {
  expect(smallBumpRate(50, 100, 5)).toBe(70);
  expect(smallBumpRate(50, 100, 2)).toBe(100);
  expect(smallBumpRate(50, 0, 2)).toBe(50);
  expect(() => smallBumpRate(50, 100, 0)).toThrow(expect.objectContaining({ field: 'amplitude' }));
});
