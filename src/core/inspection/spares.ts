import { requireNumber } from '../errors';

/**
 * How many spares cover a trip nine times in ten, or as asked: failures seen over a distance give a rate with its doubt (gamma, Jeffreys' prior of
 * half a failure), the trip's count follows the negative binomial of it. It takes every failure as chance: one place that breaks again and
 * again has a cause. @param failures seen (0–200) @param over km in which they were seen @param trip km @param cover 0.5–0.999
 * @returns spares, and the mean count expected
 */
export function sparesFor(
  failures: number,
  over: number,
  trip: number,
  cover = 0.95,
): { spares: number; expected: number; coverage: number } {
  requireNumber('failures', failures, 0, 200);
  requireNumber('over', over, 1, 1e7);
  requireNumber('trip', trip, 1, 1e6);
  requireNumber('cover', cover, 0.5, 0.999);
  const shape = failures + 0.5;
  const p = over / (over + trip);
  let chance = p ** shape;
  let sum = chance;
  let spares = 0;
  while (sum < cover && spares < 500) {
    chance *= ((shape + spares) / (spares + 1)) * (1 - p);
    spares += 1;
    sum += chance;
  }
  return { spares, expected: (shape * trip) / over, coverage: sum };
}
