import fc from 'fast-check';
import { chanceOf } from './chance';

const even = (half: number) => ({ below: half, above: half });

test('thirty plus or minus four against a wish of forty plus or minus ten misses in half of such jobs', () => {
  const { share, reach } = chanceOf(30, even(4), { target: 40, tolerance: 10 });
  expect(share).toBeCloseTo(0.5, 3);
  expect(reach).toBe('edge');
});

test('a band that fills the wish exactly is inside in nine of ten; far off is missed', () => {
  expect(chanceOf(40, even(10), { target: 40, tolerance: 10 })).toMatchObject({
    share: expect.closeTo(0.9, 4),
    reach: 'likely',
  });
  expect(chanceOf(0, even(5), { target: 40, tolerance: 10 })).toMatchObject({ reach: 'missed' });
});

test('property: the chance agrees with counting draws, and a wider wish is never less likely', () => {
  const mm = (max: number) => fc.double({ min: 1, max, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      mm(20),
      mm(20),
      mm(10),
      (change, half, tolerance, more) => {
        const share = (wish: number) => chanceOf(change, even(half), { target: 10, tolerance: wish }).share;
        expect(share(tolerance + more)).toBeGreaterThanOrEqual(share(tolerance) - 1e-9);
        // The normal distribution summed in small steps.
        const sd = half / 1.6448536;
        const steps = 2000;
        let sum = 0;
        for (let k = 0; k < steps; k++) {
          const x = 10 - tolerance + (2 * tolerance * (k + 0.5)) / steps;
          sum +=
            (Math.exp(-(((x - change) / sd) ** 2) / 2) / (sd * Math.sqrt(2 * Math.PI))) * ((2 * tolerance) / steps);
        }
        expect(share(tolerance)).toBeCloseTo(sum, 4);
      },
    ),
    { numRuns: 60 },
  );
});

test('a band that reaches further up than down puts the chance where it reaches', () => {
  const skewed = { below: 3, above: 12 };
  const up = chanceOf(40, skewed, { target: 48, tolerance: 2 }).share;
  const down = chanceOf(40, skewed, { target: 32, tolerance: 2 }).share;
  expect(up).toBeGreaterThan(3 * down);
});
