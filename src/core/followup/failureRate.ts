import { requireNumber } from '../errors';

/** Logarithm of the gamma function, x > 0: Stirling's series above 10 (Abramowitz and Stegun 6.1.41), below it by x·Γ(x) = Γ(x + 1). */
export function lnGamma(x: number): number {
  let [at, less] = [x, 0];
  while (at < 10) less += Math.log(at++);
  const q = 1 / (at * at);
  const series = (1 / 12 - q * (1 / 360 - q * (1 / 1260 - q / 1680))) / at;
  return (at - 0.5) * Math.log(at) - at + 0.5 * Math.log(2 * Math.PI) + series - less;
}

/** Share of a gamma law of this shape and rate 1 that lies below x: series below shape + 1 (6.5.29), continued fraction above it (6.5.31). */
export function gammaBelow(shape: number, x: number): number {
  if (x <= 0) return 0;
  const front = Math.exp(shape * Math.log(x) - x - lnGamma(shape));
  if (x < shape + 1) {
    let [term, sum] = [1 / shape, 1 / shape];
    for (let n = 1; n < 1000 && Math.abs(term) > 1e-16 * sum; n++) sum += term *= x / (shape + n);
    return Math.min(1, front * sum);
  }
  // Lentz's way through the fraction.
  let b = x + 1 - shape;
  let [c, d] = [1e300, 1 / b];
  let h = d;
  for (let n = 1; n < 1000; n++) {
    const a = -n * (n - shape);
    b += 2;
    d = 1 / (a * d + b);
    c = b + a / c;
    const step = c * d;
    h *= step;
    if (Math.abs(step - 1) < 1e-15) break;
  }
  return Math.max(0, 1 - front * h);
}

/** The x below which a share of a gamma law of this shape and rate 1 lies. @param shape 0.1–1,000 @param share 0.0001–0.9999 */
export function gammaQuantile(shape: number, share: number): number {
  requireNumber('shape', shape, 0.1, 1000);
  requireNumber('share', share, 1e-4, 1 - 1e-4);
  let [low, high] = [1e-12, shape + 40 * Math.sqrt(shape) + 40];
  for (let n = 0; n < 200 && high - low > 1e-13 * high; n++) {
    const middle = Math.sqrt(low * high);
    if (gammaBelow(shape, middle) < share) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}

/**
 * Failures over a distance with their doubt: a Poisson count with a gamma law of its rate, Jeffreys' prior of half a failure.
 * @param failures seen (0–200) @param over km in which they were seen (1–1e8)
 * @returns failures in 10,000 km: the middle of the law and its 90 % interval
 */
export function failureRate(failures: number, over: number): { rate: number; low: number; high: number } {
  requireNumber('failures', failures, 0, 200);
  requireNumber('over', over, 1, 1e8);
  const at = (share: number) => (gammaQuantile(failures + 0.5, share) / over) * 1e4;
  return { rate: at(0.5), low: at(0.05), high: at(0.95) };
}
