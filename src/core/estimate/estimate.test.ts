import { uniformFrom } from '@/workers/random';
import { normal, Z90 } from './estimate';

test('normal draws have mean 0, deviation 1 and 90 % within ± Z90', () => {
  const uniform = uniformFrom(3);
  const draws = Array.from({ length: 40_000 }, () => normal(uniform));
  const mean = draws.reduce((s, v) => s + v, 0) / draws.length;
  const variance = draws.reduce((s, v) => s + (v - mean) ** 2, 0) / draws.length;
  expect(Math.abs(mean)).toBeLessThan(0.02);
  expect(Math.sqrt(variance)).toBeCloseTo(1, 1);
  const inside = draws.filter((v) => Math.abs(v) <= Z90).length / draws.length;
  expect(inside).toBeCloseTo(0.9, 2);
  expect(draws.every(Number.isFinite)).toBe(true);
});

test('a generator is its seed: equal seeds draw equal numbers, all in [0, 1)', () => {
  const [a, b, c] = [uniformFrom(7), uniformFrom(7), uniformFrom(8)];
  const first = Array.from({ length: 100 }, () => a());
  expect(Array.from({ length: 100 }, () => b())).toEqual(first);
  expect(Array.from({ length: 100 }, () => c())).not.toEqual(first);
  expect(first.every((v) => v >= 0 && v < 1)).toBe(true);
});
