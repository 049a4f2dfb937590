import { CoreError } from '../../errors';
import { SPRING_STEEL_LIMITS } from '../../material/steel';

/** Where a leaf spring's own travel ends: of the frame above the hub there, up to the model's constant, mm. */
export interface LeafEnd {
  id: 'packLimit' | 'shackleFlat';
  rise: number;
  half90: number;
}

/** A leaf spring as it stands under some load, as far as its own travel ends there. */
export interface EndsState {
  rise: number;
  /** Of the leaf that comes nearest to one: nominal stress over the limit of full bump, or solved peak over yield. */
  used: number;
  /** Between eye line and shackle, rad; null without one. */
  shackle: number | null;
}

/** A shackle this near to lying along the eyes' line, rad, locks or turns over. Chosen. */
export const SHACKLE_FLAT = 20 * (Math.PI / 180);
/** The band that sizes and steel leave it, as a share. Chosen. */
const STRESS_SHARE = 0.1;
const SHACKLE_HALF = 3 * (Math.PI / 180);

/** How much of its steel a pack uses, see `EndsState.used`. @param nominal @param peak of every leaf, MPa */
export const usedOf = (nominal: readonly number[], peak: readonly number[]): number =>
  Math.max(
    ...nominal.map((v) => Math.abs(v) / SPRING_STEEL_LIMITS.bump),
    ...peak.map((v) => Math.abs(v) / SPRING_STEEL_LIMITS.yield),
  );

/** Loads looked at beyond what rests on it, in multiples of that. Wider as they grow: what lies between is solved once more. */
const STEPS = [0.6, 1.3, 2.2, 3.3, 4.8, 6.8];
/** A step is never smaller than this part of it, N: less rests on a cart's spring than a step is worth. */
const LEAST = 700;

const past = (angle: number): number => SHACKLE_FLAT - Math.min(angle, Math.PI - angle);

/**
 * Where a leaf spring's steel reaches the limit of full bump, and before that where its shackle lies nearly along it, going up from where it rests. Solved at
 * steps of the load, once more where a straight line between two of them says, and told by a straight line from there.
 * @param load on it at rest, N @param at its state under that much more, N
 */
export function springEnds(load: number, at: (extra: number) => EndsState): LeafEnd[] {
  const solve = (extra: number): (EndsState & { extra: number }) | null => {
    try {
      return { ...at(extra), extra };
    } catch (error) {
      // Beyond what its shackle or pad lets it: nothing is told of it.
      if (error instanceof CoreError) return null;
      throw error;
    }
  };
  /** Between two states of which the second is past the limit. */
  const place = (p: EndsState & { extra: number }, q: EndsState & { extra: number }, of: (s: EndsState) => number) => {
    const shareIn = (a: EndsState, b: EndsState) => (of(b) === of(a) ? 0 : -of(a) / (of(b) - of(a)));
    const middle = solve(p.extra + shareIn(p, q) * (q.extra - p.extra));
    const [from, to] = middle === null ? [p, q] : of(middle) >= 0 ? [p, middle] : [middle, q];
    // From the nearer end of what is left between.
    const share = shareIn(from, to);
    const perUnit = Math.abs((q.rise - p.rise) / (of(q) - of(p) || 1));
    return { rise: from.rise + share * (to.rise - from.rise), perUnit };
  };
  const found: LeafEnd[] = [];
  const scale = Math.max(LEAST, load);
  let last = solve(0);
  for (const step of STEPS) {
    const next = last && solve(step * scale);
    if (!last || !next) return found;
    if (found.length === 0 && next.shackle !== null && past(next.shackle) >= 0) {
      const { rise, perUnit } = place(last, next, (s) => past(s.shackle ?? Math.PI / 2));
      found.push({ id: 'shackleFlat', rise, half90: perUnit * SHACKLE_HALF });
    }
    if (next.used >= 1) {
      const { rise, perUnit } = place(last, next, (s) => s.used - 1);
      return [...found, { id: 'packLimit', rise, half90: perUnit * STRESS_SHARE }];
    }
    last = next;
  }
  return found;
}
