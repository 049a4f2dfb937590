import { normal, Z90 } from '../estimate/estimate';
import { uniformFrom } from '@/workers/random';
import { expectedSettling, SETTLING } from '../vehicle/settling';
import { learntFrom } from './learnt';

const HOUSE = { value: -5, half90: 5 };

test('before the first job it is common practice; a job that says nothing moves it by nothing', () => {
  expect(learntFrom([], HOUSE)).toEqual(HOUSE);
  const vague = learntFrom([{ value: 40, half90: 5000 }], HOUSE);
  expect(vague.value).toBeCloseTo(-5, 2);
  expect(vague.half90).toBeGreaterThan(4);
  expect(vague.half90).toBeLessThan(5.5);
});

test('jobs that agree pull the mean to themselves and narrow it, one after another; jobs that differ keep it wide', () => {
  const same = [1, 3, 10, 30].map((n) => learntFrom(Array(n).fill({ value: -9, half90: 1 }), HOUSE));
  for (const [k, now] of same.entries()) {
    if (k === 0) continue;
    expect(now.value).toBeLessThan(same[k - 1]!.value);
    expect(now.half90).toBeLessThan(same[k - 1]!.half90);
  }
  expect(same.at(-1)!.value).toBeCloseTo(-9, 0);
  const apart = learntFrom(
    Array.from({ length: 30 }, (_, k) => ({ value: k % 2 ? -15 : -3, half90: 1 })),
    HOUSE,
  );
  expect(apart.half90).toBeGreaterThan(2 * same.at(-1)!.half90);
});

test('nine in ten of the next jobs of a thousand simulated shops lie inside what was learnt', () => {
  const random = uniformFrom(20_261_130);
  const sd = HOUSE.half90 / Z90 / Math.SQRT2;
  for (const jobs of [1, 4, 12]) {
    let inside = 0;
    for (let k = 0; k < 1000; k++) {
      const own = HOUSE.value + sd * normal(random);
      const one = () => own + sd * normal(random);
      const seen = Array.from({ length: jobs }, () => ({ value: one() + (2 / Z90) * normal(random), half90: 2 }));
      const { value, half90 } = learntFrom(seen, HOUSE);
      if (Math.abs(one() - value) <= half90) inside += 1;
    }
    expect(inside).toBeGreaterThan(850);
    expect(inside).toBeLessThan(950);
  }
});

test('what a shop learnt stands in the place of common practice, and says of how many jobs', () => {
  expect(expectedSettling('newPack', undefined)).toEqual({ value: -5, half90: SETTLING.newPack.half90, jobs: 0 });
  expect(expectedSettling('newPack', { newPack: { value: -8, half: 2, jobs: 6 } })).toEqual({
    ...{ value: -8, half90: 2, jobs: 6 },
  });
});

test('bad figures are refused by name', () => {
  expect(() => learntFrom([{ value: 1, half90: 0 }], HOUSE)).toThrow('half90');
  expect(() => learntFrom([], { value: 0, half90: 0 })).toThrow('house.half90');
});
