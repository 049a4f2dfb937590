import { printedBy } from './bundled';

/** Trucks in each of two programs; binomial scatter of 300 about 92 % is 1.6 %. */
const HALF = 150;

test(`${2 * HALF} simulated trucks with hidden truth: 85 to 95 % of the tape's readings fall in the 90 % band`, async () => {
  const counts = await printedBy('coverage', ['0', String(HALF)], [String(HALF), String(HALF)]);
  const share = (100 * (Number(counts[0]) + Number(counts[1]))) / (2 * HALF);
  expect(share).toBeGreaterThanOrEqual(85);
  expect(share).toBeLessThanOrEqual(95);
}, 1_200_000);
