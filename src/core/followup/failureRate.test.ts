import { failureRate, gammaBelow, gammaQuantile, lnGamma } from './failureRate';

/*
 * A gamma law of shape n/2 is half of chi-squared with n degrees of freedom. Points of chi-squared as printed in the tables of
 * statistics (Abramowitz and Stegun, table 26.8; quoted from memory).
 */
const CHI_SQUARED: [degrees: number, below: number, point: number][] = [
  [1, 0.95, 3.841],
  [1, 0.05, 0.00393],
  [2, 0.95, 5.991],
  [5, 0.05, 1.145],
  [10, 0.95, 18.307],
  [10, 0.05, 3.94],
  [20, 0.5, 19.337],
  [30, 0.95, 43.773],
];

test.each(CHI_SQUARED)('chi-squared of %i degrees has %d below %d', (degrees, below, point) => {
  const found = 2 * gammaQuantile(degrees / 2, below);
  expect(Math.abs(found - point) / point).toBeLessThan(0.002);
  expect(gammaBelow(degrees / 2, found / 2)).toBeCloseTo(below, 9);
});

test('the gamma function of whole and half numbers', () => {
  expect(Math.exp(lnGamma(5))).toBeCloseTo(24, 9);
  expect(Math.exp(2 * lnGamma(0.5))).toBeCloseTo(Math.PI, 9);
});

test('four breaks in 70,000 km (common practice): about one in 17,500, and no closer than from one in 8,300 to one in 42,000', () => {
  const { rate, low, high } = failureRate(4, 70_000);
  expect(1e4 / rate).toBeGreaterThan(16_000);
  expect(1e4 / rate).toBeLessThan(18_500);
  // Half of chi-squared with nine degrees: 3.325 and 16.919.
  expect(low).toBeCloseTo((3.325 / 2 / 70_000) * 1e4, 3);
  expect(high).toBeCloseTo((16.919 / 2 / 70_000) * 1e4, 3);
  expect(failureRate(0, 70_000).low).toBeGreaterThan(0);
});
