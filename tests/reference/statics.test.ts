import { axleShares, bounceFrequency, springLoads } from '@/core/vehicle/load';
import { lumped } from '@/core/sheet/reading';
import { UNITS, fromCore } from '@/core/units/units';

/*
 * Statics of a simply supported beam with loads between and beyond its supports: reactions by moments about one support.
 * Source: any first text on statics, e.g. J. L. Meriam and L. G. Kraige, Engineering Mechanics: Statics, chapter 3
 * (method; from memory); the figures of each case are worked beside it.
 */
test.each([
  // 600 kg in the middle of 3 m: 300 each.
  [600, 1500, 3000, 300, 300],
  // 600 kg 1 m behind the front of 3 m: rear 600·1/3 = 200.
  [600, 1000, 3000, 400, 200],
  // 300 kg hung 0.9 m behind the rear axle of 3 m: rear 300·3.9/3 = 390, and 90 comes off the front.
  [300, 3900, 3000, -90, 390],
  // 120 kg of winch 0.75 m ahead of the front axle of 3 m: front 150, 30 off the rear.
  [120, -750, 3000, 150, -30],
])('%d kg at %d mm on a wheelbase of %d mm', (mass, station, wheelbase, front, rear) => {
  const shares = axleShares({ mass, station }, wheelbase);
  expect(shares.front).toBeCloseTo(front, 9);
  expect(shares.rear).toBeCloseTo(rear, 9);
});

test('several things aboard do to the axles what one mass at their middle does', () => {
  const items = [
    { mass: 160, station: 1750 },
    { mass: 150, station: 2990 },
    { mass: -40, station: 600 },
  ];
  const one = axleShares(lumped(items), 2710);
  const each = items.map((i) => axleShares(i, 2710));
  expect(one.front).toBeCloseTo(
    each.reduce((sum, s) => sum + s.front, 0),
    9,
  );
  expect(one.rear).toBeCloseTo(
    each.reduce((sum, s) => sum + s.rear, 0),
    9,
  );
});

test('pads to springs: the sum is the sprung weight, the difference grows by track over spring base', () => {
  // Moments about the middle of the axle: (F_L − F_R)·base/2 = (W_L − W_R)·track/2.
  const { left, right } = springLoads(560, 520, 200, 1600 / 1000);
  const g = 9.80665;
  expect(left + right).toBeCloseTo((560 + 520 - 200) * g, 9);
  expect(left - right).toBeCloseTo((560 - 520) * 1.6 * g, 9);
});

test('a mass on springs bounces at √(k/m)/2π', () => {
  // 2 · 25 N/mm under 500 kg with tyres as good as rigid: √(50,000/500)/2π = 1.5915 Hz.
  expect(bounceFrequency(25, 1e9, 500 * 9.80665)).toBeCloseTo(10 / (2 * Math.PI), 5);
});

/* NIST Special Publication 811, appendix B.8 (from memory): conversion factors to seven figures. */
test.each([
  ['psi', 6.894757, 'kPa'],
  ['lbf·ft', 1.355818, 'N·m'],
  ['lb', 0.4535924, 'kg'],
  ['lbf/in', 0.1751268, 'N/mm'],
] as const)('one %s is %d %s', (unit, factor, into) =>
  expect(fromCore(UNITS[unit].factor, into) / factor).toBeCloseTo(1, 6),
);
