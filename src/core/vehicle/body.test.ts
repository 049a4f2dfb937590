import fc from 'fast-check';
import { GRAVITY } from '../material/steel';
import { axleShares } from './load';
import { settleBody, type Support } from './body';

const support = (station: number, rate: number, lift = 0): Support => ({ station, rate, lift });
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('property: on two axles the loads are those of statics, whatever the springs', () => {
  fc.assert(
    fc.property(mm(20, 400), mm(20, 400), mm(-500, 3000), mm(-800, 4000), (front, rear, mass, station) => {
      const { loads, rises } = settleBody([support(0, front), support(3200, rear)], [{ mass, station }]);
      const shares = axleShares({ mass, station }, 3200);
      expect(loads[0]).toBeCloseTo(shares.front * GRAVITY, 4);
      expect(loads[1]).toBeCloseTo(shares.rear * GRAVITY, 4);
      expect(rises[1]).toBeCloseTo(-(shares.rear * GRAVITY) / rear, 6);
    }),
  );
});

test('a lift on one of two axles lifts the body there by as much and shifts no load', () => {
  const { loads, rises } = settleBody([support(0, 60), support(2600, 90, 45)], []);
  expect(rises[0]).toBeCloseTo(0, 9);
  expect(rises[1]).toBeCloseTo(45, 9);
  expect(Math.max(...loads.map(Math.abs))).toBeLessThan(1e-6);
});

test('a lift on one of three axles takes load from its neighbour: work done on the body is kept by the springs', () => {
  const supports = [support(0, 80), support(3000, 140), support(4200, 140, 30)];
  const { loads, rises } = settleBody(supports, []);
  expect(loads.reduce((sum, f) => sum + f, 0)).toBeCloseTo(0, 6);
  expect(loads.reduce((sum, f, i) => sum + f * supports[i]!.station, 0)).toBeCloseTo(0, 3);
  expect(loads[2]!).toBeGreaterThan(100);
  expect(loads[1]!).toBeLessThan(-100);
  // The body stays straight.
  expect((rises[1]! - rises[0]!) / 3000).toBeCloseTo((rises[2]! - rises[1]!) / 1200, 9);
});

test('axles at one place, none, or without springs carry no body', () => {
  expect(() => settleBody([support(0, 50), support(0, 60)], [])).toThrow(/one place/);
  expect(() => settleBody([support(0, 50)], [])).toThrow(/two to four/);
  expect(() => settleBody([support(0, 50), support(3000, 0)], [])).toThrow(/rate/);
});
