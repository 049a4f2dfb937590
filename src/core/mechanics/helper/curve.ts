import { requireNumber } from '../../errors';

/** Kinds of spring that help a pack from beside it, between frame and axle. */
export const HELPERS = ['rubber', 'air', 'clampOn', 'leaf'] as const;
export type HelperDevice = (typeof HELPERS)[number];

/** Of one that was there before the work: whether it stays or comes off. */
export const FITTED = ['stays', 'off'] as const;
export type Fitted = (typeof FITTED)[number];

/** What a helper spring presses by how far it is pressed together, as its maker gives it or as it was read in a press. */
export interface HelperCurve {
  /** From where it touches, or stands fully open, to where it may not be pressed any further, mm (1–1000). */
  stroke: number;
  /** At even shares of the stroke from 0 to the whole, never falling, N; two or more. */
  forces: readonly number[];
}

/** Slopes through the points of a curve that never overshoots between two of them (Fritsch and Carlson 1980, their harmonic mean). */
function slopesOf(forces: readonly number[]): number[] {
  const rises = forces.slice(1).map((f, k) => f - forces[k]!);
  return forces.map((_, k) => {
    const [before, after] = [rises[k - 1], rises[k]];
    if (before === undefined) return after ?? 0;
    if (after === undefined) return before;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
}

/**
 * Force and rate of a helper spring, N and N/mm: nothing before it touches, past its stroke on along its last slope.
 * @param pressed together from where it touches, mm; negative where it hangs clear
 * @throws CoreError `bad-input` for a curve that is none or falls
 */
export function helperAt({ stroke, forces }: HelperCurve, pressed: number): { force: number; rate: number } {
  requireNumber('helper.stroke', stroke, 1, 1000);
  requireNumber('helper.pressed', pressed, -5000, 5000);
  forces.forEach((force, k) => requireNumber(`helper.forces[${k}]`, force, k === 0 ? 0 : forces[k - 1]!, 1e6));
  requireNumber('helper.forces.length', forces.length, 2, 50);
  if (pressed < 0) return { force: 0, rate: 0 };
  const step = stroke / (forces.length - 1);
  const slopes = slopesOf(forces);
  const last = forces.length - 1;
  if (pressed >= stroke)
    return { force: forces[last]! + (slopes[last]! * (pressed - stroke)) / step, rate: slopes[last]! / step };
  const k = Math.min(last - 1, Math.floor(pressed / step));
  const t = pressed / step - k;
  const [f0, f1, m0, m1] = [forces[k]!, forces[k + 1]!, slopes[k]!, slopes[k + 1]!];
  const force =
    f0 * (2 * t ** 3 - 3 * t ** 2 + 1) +
    m0 * (t ** 3 - 2 * t ** 2 + t) +
    f1 * (3 * t ** 2 - 2 * t ** 3) +
    m1 * (t ** 3 - t ** 2);
  const rate =
    (f0 * (6 * t ** 2 - 6 * t) +
      m0 * (3 * t ** 2 - 4 * t + 1) +
      f1 * (6 * t - 6 * t ** 2) +
      m1 * (3 * t ** 2 - 2 * t)) /
    step;
  return { force, rate };
}

/**
 * How a load is shared between a pack and what helps it: the pack's part x of the load for which both stand at one height, N.
 * @param load on both, N @param helperOf force of the helper where the pack carries so much, N; it never falls as the pack carries more
 * @returns the pack's part; the whole load where the helper hangs clear. Within half a newton, or a part in 10⁵ of the load
 */
export function packShare(load: number, helperOf: (packLoad: number) => number): number {
  const off = (x: number): number => x + helperOf(x) - load;
  let high = load;
  let offHigh = off(high);
  if (offHigh <= 0) return load;
  let low = load - offHigh;
  let offLow = off(low);
  const near = Math.max(0.5, 1e-5 * Math.abs(load));
  // False position with its stale end halved (the Illinois rule).
  for (let k = 0, held = 0; k < 60 && high - low > near && Math.abs(offLow) > near / 10; k++) {
    const next = low - (offLow * (high - low)) / (offHigh - offLow || 1);
    const at = off(next);
    if (at > 0) {
      [high, offHigh] = [next, at];
      if (held === 1) offLow /= 2;
      held = 1;
    } else {
      [low, offLow] = [next, at];
      if (held === -1) offHigh /= 2;
      held = -1;
    }
  }
  return Math.abs(offLow) <= Math.abs(offHigh) ? low : high;
}
