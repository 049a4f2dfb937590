import { uniformFrom } from '@/workers/random';
import { Gauge } from './model';

const run = (gauge: Gauge, seconds: number) => {
  let last = gauge.step(0.2);
  for (let t = 0.2; t < seconds; t += 0.2) last = gauge.step(0.2);
  return last;
};

test('settles on its truth within its noise, and says when it has', () => {
  const gauge = new Gauge({ truth: 541, noise: 0.4, settling: 0.8, drift: 0 }, uniformFrom(3));
  expect(gauge.step(0.2).settled).toBe(false);
  const { value, settled } = run(gauge, 8);
  expect(settled).toBe(true);
  expect(Math.abs(value - 541)).toBeLessThan(2);
});

test('wanders without being zeroed, and not after', () => {
  const gauge = new Gauge({ truth: 0, noise: 0, settling: 0.5, drift: 0.1 }, uniformFrom(3));
  expect(run(gauge, 60).value).toBeCloseTo(6, 0);
  gauge.tare();
  expect(gauge.step(0).value).toBeCloseTo(0, 6);
});
