import { factorize, substitute } from '../cholesky';
import { CoreError, requireNumber } from '../errors';
import { Z90 } from '../estimate/estimate';

/** A height of one point, and how far the vehicle had been driven since the work. */
export interface HeightOver {
  km: number;
  height: number;
  half90: number;
}

/** What is known of settling before any height is read: the height it takes, mm, less than 0. */
export interface SettlingPrior {
  value: number;
  half90: number;
}

export type SettlingVerdict = 'tooFew' | 'settling' | 'settled' | 'sinking';

export interface Settled {
  /** Height it will come to, mm, 90 %. */
  final: { value: number; half90: number };
  /** What it has still to lose from where it was read last, mm, 90 %. */
  left: { value: number; half90: number };
  /** Distance over which two thirds of it are done, km. */
  over: number;
  /** Chance that it goes on sinking after it has settled, and by how much then, mm in 1,000 km. */
  sinking: { chance: number; rate: number };
  verdict: SettlingVerdict;
  /** The fitted height and its 90 % half-width at a distance. */
  at: (km: number) => { value: number; half90: number };
}

/**
 * Two thirds of the settling are over in this distance, km: the middle, and the deviation of its logarithm. Common practice says a new
 * spring has settled after about 1,500 km, three times this.
 */
const OVER = { middle: 500, spread: 0.6 } as const;
const STEPS = 25;
/** A spring that goes on sinking, mm in 1,000 km, and how often one does. Assumed. */
const SINKS = { rate: 4, chance: 0.08 } as const;
/** Settled when no more than this is left, nine times in ten, mm. */
const DONE = 2;

interface Way {
  weight: number;
  over: number;
  sinks: boolean;
  mean: Float64Array;
  /** Covariance of height as built, its loss, and (last) its sinking. */
  cov: Float64Array;
}

/**
 * Fits h = h∞ + Δ·exp(−s/s₀) to heights over distance, with what is expected of settling as its prior, and beside it the same with a steady
 * sinking; s₀ is gone through in steps, all else is linear and exact.
 * @param heights 1 to 200, of one point, side and load @param prior as the ledger told it
 * @throws CoreError on a distance or height that cannot be
 */
export function fitSettling(heights: readonly HeightOver[], prior: SettlingPrior): Settled {
  if (heights.length === 0 || heights.length > 200)
    throw new CoreError('bad-input', 'heights', 'there must be 1 to 200 heights');
  for (const { km, height, half90 } of heights) {
    requireNumber('km', km, 0, 1e6);
    requireNumber('height', height, 0, 5000);
    requireNumber('half90', half90, 0.05, 100);
  }
  requireNumber('prior.half90', prior.half90, 0.1, 200);
  const base = heights[0]!.height;
  const ways: Way[] = [];
  const logs: number[] = [];
  for (const sinks of [false, true])
    for (let k = 0; k < STEPS; k++) {
      const z = -2.4 + (4.8 * k) / (STEPS - 1);
      const over = OVER.middle * Math.exp(OVER.spread * z);
      const fit = linear(heights, prior, base, over, sinks);
      logs.push(fit.log - z ** 2 / 2 + Math.log(sinks ? SINKS.chance : 1 - SINKS.chance));
      ways.push({ ...fit, weight: 0, over, sinks });
    }
  const top = Math.max(...logs);
  const whole = logs.reduce((sum, l) => sum + Math.exp(l - top), 0);
  ways.forEach((way, k) => {
    way.weight = Math.exp(logs[k]! - top) / whole;
  });
  const told = (row: (way: Way) => number[], of = ways) => mixture(of, row);
  const last = heights.reduce((far, h) => (h.km > far.km ? h : far));
  const gone = (way: Way, km: number) => 1 - Math.exp(-km / way.over);
  const rowAt = (way: Way, km: number) => [1, gone(way, km), -km / 1000].slice(0, way.mean.length);
  const at = (km: number) => {
    const { value, half90 } = told((way) => rowAt(way, km));
    return { value: base + value, half90 };
  };
  // Where it comes to rest is a question only to a spring that does.
  const resting = ways.filter(({ sinks }) => !sinks);
  const final = told(() => [1, 1], resting);
  const left = told((way) => [0, 1 - gone(way, last.km)], resting);
  const sinking = ways.filter(({ sinks }) => sinks);
  const chance = sinking.reduce((sum, { weight }) => sum + weight, 0);
  const rate = told(() => [0, 0, 1], sinking).value;
  const verdict: SettlingVerdict =
    heights.length < 2
      ? 'tooFew'
      : chance > 0.6 && rate > 0.5
        ? 'sinking'
        : Math.abs(left.value) + left.half90 <= DONE
          ? 'settled'
          : 'settling';
  return {
    final: { value: base + final.value, half90: final.half90 },
    left,
    over: ways.reduce((sum, { weight, over }) => sum + weight * over, 0),
    sinking: { chance, rate },
    verdict,
    at,
  };
}

/** Mean and 90 % half-width of a linear figure over all ways. */
function mixture(ways: readonly Way[], row: (way: Way) => number[]): { value: number; half90: number } {
  let [whole, sum, squares] = [0, 0, 0];
  for (const way of ways) {
    const x = row(way);
    const m = x.reduce((s, v, i) => s + v * way.mean[i]!, 0);
    const n = way.mean.length;
    const v = x.reduce((s, a, i) => s + x.reduce((t, b, j) => t + a * b * way.cov[i * n + j]!, 0), 0);
    whole += way.weight;
    sum += way.weight * m;
    squares += way.weight * (v + m * m);
  }
  if (whole === 0) return { value: 0, half90: 0 };
  const value = sum / whole;
  return { value, half90: Z90 * Math.sqrt(Math.max(0, squares / whole - value * value)) };
}

/** Bayes' linear regression of heights less `base` on 1, the settling done, and (sinking) the distance; its evidence up to a constant. */
function linear(
  heights: readonly HeightOver[],
  prior: SettlingPrior,
  base: number,
  over: number,
  sinks: boolean,
): { mean: Float64Array; cov: Float64Array; log: number } {
  const n = sinks ? 3 : 2;
  const middle = [0, prior.value, SINKS.rate / 2].slice(0, n);
  const sd = [30, prior.half90 / Z90, SINKS.rate / 2].slice(0, n);
  const a = new Float64Array(n * n);
  const b = new Float64Array(n);
  let log = 0;
  for (let i = 0; i < n; i++) {
    a[i * n + i] = 1 / sd[i]! ** 2;
    b[i] = middle[i]! / sd[i]! ** 2;
    log -= 0.5 * (middle[i]! / sd[i]!) ** 2 + Math.log(sd[i]!);
  }
  for (const { km, height, half90 } of heights) {
    const x = [1, 1 - Math.exp(-km / over), -km / 1000].slice(0, n);
    const r = (half90 / Z90) ** 2;
    const y = height - base;
    log -= (0.5 * y * y) / r;
    for (let i = 0; i < n; i++) {
      b[i]! += (x[i]! * y) / r;
      for (let j = 0; j < n; j++) a[i * n + j]! += (x[i]! * x[j]!) / r;
    }
  }
  if (!factorize(a, n)) throw new CoreError('no-convergence', 'heights', 'these heights cannot be fitted');
  const mean = Float64Array.from(b);
  substitute(a, n, mean);
  for (let i = 0; i < n; i++) log += 0.5 * b[i]! * mean[i]! - Math.log(a[i * n + i]!);
  const cov = new Float64Array(n * n);
  for (let j = 0; j < n; j++) {
    const unit = new Float64Array(n);
    unit[j] = 1;
    substitute(a, n, unit);
    for (let i = 0; i < n; i++) cov[i * n + j] = unit[i]!;
  }
  return { mean, cov, log };
}

/** Distances at which another look may be taken, km from the last one. */
const NEXT = [100, 200, 300, 500, 700, 1000, 1500, 2000, 3000] as const;

/**
 * The distance, km since the work, at which the next height tells most: the nearest one that gets four fifths of what the best of them
 * would take off the band of the height it comes to. Null once no look within sight would narrow it by a millimetre.
 */
export function nextLook(heights: readonly HeightOver[], prior: SettlingPrior): number | null {
  const now = fitSettling(heights, prior);
  const last = Math.max(...heights.map(({ km }) => km));
  const half90 = heights.at(-1)!.half90;
  const gains = NEXT.map((step) => {
    const km = last + step;
    const then = fitSettling([...heights, { km, height: Math.max(0, now.at(km).value), half90 }], prior);
    return { km, gain: now.final.half90 - then.final.half90 };
  });
  const best = Math.max(...gains.map(({ gain }) => gain));
  return best < 1 ? null : gains.find(({ gain }) => gain >= 0.8 * best)!.km;
}
