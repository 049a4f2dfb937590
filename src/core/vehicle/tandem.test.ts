import { GRAVITY } from '../material/steel';
import { independentLoads, rockerLoads } from './tandem';

const axles = { front: 4200, rear: 5100 };

test('a rocker’s share makes two axles one place: forces and moments balance, and a lowered hitch changes nothing', () => {
  const { hitch, front, rear } = rockerLoads({ axles, mass: 3200, station: 4400 }, 0.45);
  expect(hitch + front + rear).toBeCloseTo(3200, 9);
  expect(front * 4200 + rear * 5100).toBeCloseTo(3200 * 4400, 6);
  expect(front / (front + rear)).toBeCloseTo(0.45, 12);
});

test('axles sprung each for itself: a hitch 100 mm up tilts the trailer and moves load from the front axle to the rear one', () => {
  const level = { hitch: 250, front: 1450, rear: 1500 };
  const rate = 2 / (1 / 90 + 1 / 350);
  const tilted = independentLoads({ axles }, level, rate, 100);
  // About the middle of both axles, 4,650 mm behind: 100 mm of hitch lifts the body over the front axle and lowers it over the rear.
  const angle = 100 / ((4200 ** 2 + 5100 ** 2) / (4200 + 5100));
  const lift = 100 - angle * 4200;
  expect(tilted.front - level.front).toBeCloseTo((-rate * lift) / GRAVITY, 0);
  expect(tilted.rear).toBeGreaterThan(level.rear);
  expect(tilted.hitch + tilted.front + tilted.rear).toBeCloseTo(3200, 6);
  // ΔF between the axles: rate times angle times spacing.
  const between = tilted.rear - level.rear - (tilted.front - level.front);
  expect(between).toBeCloseTo((rate * angle * 900) / GRAVITY, 1);
});
