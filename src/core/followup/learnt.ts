import { CoreError, requireNumber } from '../errors';
import { Z90 } from '../estimate/estimate';
import { type Expected } from '../vehicle/settling';

/** Weight of what is assumed of the scatter between jobs, as so many jobs. Chosen: a shop's second or third job must not decide it. */
const DEGREES = 4;
const STEPS = 41;

/**
 * What is to be expected of a quantity in the next job, from what it was in earlier ones, 90 %. Before the first job it is `house`: half of
 * its variance is how far the shop's own mean may lie from it, half the scatter between jobs. Jobs move the mean (exactly, for a known
 * scatter) and the scatter (inverse chi-squared prior, gone through in steps); each counts by how well it was measured.
 * @param seen of one job each, 0 to 5,000 @throws CoreError on a half-width that cannot be
 */
export function learntFrom(seen: readonly Expected[], house: Expected): Expected {
  requireNumber('house.half90', house.half90, 0.01, 1e6);
  if (seen.length > 5000) throw new CoreError('bad-input', 'seen', 'there must be at most 5,000 jobs');
  for (const { value, half90 } of seen) {
    requireNumber('value', value, -1e6, 1e6);
    requireNumber('half90', half90, 0.001, 1e6);
  }
  if (seen.length === 0) return { value: house.value, half90: house.half90 };
  const variance = (house.half90 / Z90) ** 2;
  // The mean of an inverse chi-squared law is twice its scale at four degrees.
  const [between, scale] = [variance / 2, (variance / 2) * ((DEGREES - 2) / DEGREES)];
  const ways = Array.from({ length: STEPS }, (_, k) => {
    const scatter = scale * Math.exp(-4 + (8 * k) / (STEPS - 1));
    // Of the logarithm of the scatter, so that even steps need no weight of their own.
    let log = -(DEGREES / 2) * Math.log(scatter) - (DEGREES * scale) / (2 * scatter);
    let [precision, sum] = [1 / between, house.value / between];
    let squares = house.value ** 2 / between;
    for (const { value, half90 } of seen) {
      const own = scatter + (half90 / Z90) ** 2;
      precision += 1 / own;
      sum += value / own;
      squares += value ** 2 / own;
      log -= 0.5 * Math.log(own);
    }
    const mean = sum / precision;
    log -= 0.5 * Math.log(precision) + 0.5 * (squares - mean * sum);
    return { log, mean, variance: 1 / precision + scatter };
  });
  const top = Math.max(...ways.map(({ log }) => log));
  const weights = ways.map(({ log }) => Math.exp(log - top));
  const whole = weights.reduce((sum, w) => sum + w, 0);
  const over = (of: (way: (typeof ways)[number]) => number) =>
    ways.reduce((sum, way, k) => sum + weights[k]! * of(way), 0) / whole;
  const value = over(({ mean }) => mean);
  const spread = over((way) => way.variance + (way.mean - value) ** 2);
  return { value, half90: Z90 * Math.sqrt(spread) };
}
