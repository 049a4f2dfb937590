import { SIDES, type Side } from '../vehicle/side';
import { liftBy, type FleetPattern } from './pattern';

/** What a sweep asks of every vehicle: the frame at least so high over the hub as it stands, mm. */
export interface FleetWish {
  least: number;
  /** So much under it is still right, mm. */
  tolerance: number;
}

export const FLEET_VERDICTS = ['stands', 'plan', 'none', 'unlike', 'notMeasured', 'workedOn'] as const;
export type FleetVerdict = (typeof FLEET_VERDICTS)[number];

export interface FleetFound {
  verdict: FleetVerdict;
  /** Of the lower side, as it stands, mm. */
  height: number | null;
  /** Of the patterns the one to take; where none reaches, the one that comes nearest. */
  plan: number | null;
  /** Of the lower side with it, and its 90 % half-width, mm. */
  after: number | null;
  half90: number | null;
  /** What is unlike the pattern. */
  unlike: string[];
}

/** A vehicle's input as far as a sweep asks. */
interface Swept {
  sides: Record<Side, { height: { value: number } | null }>;
}

const NOTHING: Omit<FleetFound, 'verdict' | 'height'> = { plan: null, after: null, half90: null, unlike: [] };

/** Whether one vehicle sits low, and which plan mends it with the least too much. Plans in the order they are to be preferred where they do alike. */
export function sweepOne(input: Swept, patterns: readonly FleetPattern[], { least, tolerance }: FleetWish): FleetFound {
  const heights = SIDES.map((side) => input.sides[side].height?.value ?? null);
  if (heights.some((h) => h === null)) return { verdict: 'notMeasured', height: null, ...NOTHING };
  const height = Math.min(...(heights as number[]));
  if (height >= least - tolerance) return { verdict: 'stands', height, ...NOTHING };
  const tried = patterns.map((pattern, plan) => {
    const lifts = SIDES.map((side, k) => {
      const { lift, half90, unlike } = liftBy(pattern, input, side);
      return { after: heights[k]! + lift, half90, unlike };
    });
    const lower = lifts.reduce((p, q) => (q.after < p.after ? q : p));
    return { plan, after: lower.after, half90: lower.half90, unlike: [...new Set(lifts.flatMap((l) => l.unlike))] };
  });
  const alike = tried.filter(({ unlike }) => unlike.length === 0);
  if (alike.length === 0) return { verdict: 'unlike', height, ...NOTHING, unlike: tried[0]?.unlike ?? [] };
  const reach = alike.filter(({ after }) => after >= least - tolerance);
  const nearest = (list: typeof alike) =>
    list.reduce((p, q) => (Math.abs(q.after - least) < Math.abs(p.after - least) - 1e-9 ? q : p));
  return { verdict: reach.length > 0 ? 'plan' : 'none', height, ...nearest(reach.length > 0 ? reach : alike) };
}
