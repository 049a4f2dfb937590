import { CoreError } from '../../errors';
import { SPRING_STEEL_LIMITS } from '../../material/steel';
import { type SpringEnd } from '../kind';

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

/** Steps of the load upward, as shares of what rests on it, and how many at most. */
const STEP = 0.5;
const STEPS = 9;
/** No load is looked at beyond this, N: less rests on a cart's spring than a step is worth. */
const LEAST_STEP = 400;

const past = (angle: number): number => SHACKLE_FLAT - Math.min(angle, Math.PI - angle);

/**
 * Where a leaf spring's steel reaches the limit of full bump, and where its shackle lies nearly along it, going up from where it
 * rests. Solved at steps of the load, told between them by a straight line.
 * @param load on it at rest, N @param at its state under that much more, N
 */
export function springEnds(load: number, at: (extra: number) => EndsState): SpringEnd[] {
  const found: SpringEnd[] = [];
  const step = Math.max(LEAST_STEP, STEP * load);
  let last = at(0);
  const between = (next: EndsState, of: (s: EndsState) => number, limit: number) => {
    const [p, q] = [of(last), of(next)];
    const share = q === p ? 0 : (limit - p) / (q - p);
    return { rise: last.rise + share * (next.rise - last.rise), perUnit: Math.abs((next.rise - last.rise) / (q - p)) };
  };
  for (let k = 1; k <= STEPS; k++) {
    let next: EndsState;
    try {
      next = at(k * step);
    } catch (error) {
      // Beyond what its shackle or pad lets it: nothing is told of it.
      if (error instanceof CoreError) return found;
      throw error;
    }
    const has = (id: SpringEnd['id']) => found.some((end) => end.id === id);
    if (!has('packLimit') && next.used >= 1) {
      const { rise, perUnit } = between(next, (s) => s.used, 1);
      found.push({ id: 'packLimit', rise, half90: perUnit * STRESS_SHARE });
    }
    const [was, is] = [last.shackle, next.shackle];
    if (!has('shackleFlat') && was !== null && is !== null && past(is) >= 0) {
      const { rise, perUnit } = between(next, (s) => past(s.shackle!), 0);
      found.push({ id: 'shackleFlat', rise, half90: perUnit * SHACKLE_HALF });
    }
    if (has('packLimit') && (is === null || has('shackleFlat'))) return found;
    // Past its steel's limit by far the rest is of no use.
    if (next.used > 1.5) return found;
    last = next;
  }
  return found;
}
