import { CoreError, requireNumber } from '../errors';
import { GRAVITY } from '../material/steel';
import { type Payload } from './load';

/** One axle as the body above it feels it. */
export interface Support {
  /** mm behind the front axle. */
  station: number;
  /** N/mm of the axle as a whole, from the ground to the body: both springs and both tyres. */
  rate: number;
  /** By how much the body would stand higher here under the same load: what work on this axle changes, mm. */
  lift: number;
}

/** What a load and work on the axles do to a body. */
export interface Settled {
  /** By how much the body stands higher at each axle, mm. */
  rises: number[];
  /** What each axle carries more, N. */
  loads: number[];
}

/**
 * Settles a rigid body anew on two to four axles: every load and every lift reaches all of them, by the balance of forces and
 * moments and the give of the springs. On two axles this is statics alone; on more the stiffer axle takes more. Small angles.
 * @param supports 2–4, at different places, rates over 0 @param aboard kg, mm behind the front axle
 * @throws CoreError for supports that cannot carry a body
 */
export function settleBody(supports: readonly Support[], aboard: readonly Payload[]): Settled {
  if (supports.length < 2 || supports.length > 4)
    throw new CoreError('bad-input', 'supports', 'a body stands on two to four axles');
  for (const { station, rate } of supports) {
    requireNumber('station', station, -20_000, 40_000);
    requireNumber('rate', rate, 1e-3, 1e6);
  }
  // Rise a + b·x; each axle carries k·(lift − rise) more; their sum is the weight aboard, and so is their moment.
  const sum = (of: (s: Support) => number) => supports.reduce((total, s) => total + of(s), 0);
  const [k0, k1, k2] = [sum((s) => s.rate), sum((s) => s.rate * s.station), sum((s) => s.rate * s.station ** 2)];
  const weight = aboard.reduce((total, p) => total + p.mass * GRAVITY, 0);
  const moment = aboard.reduce((total, p) => total + p.mass * GRAVITY * p.station, 0);
  const force = sum((s) => s.rate * s.lift) - weight;
  const turning = sum((s) => s.rate * s.lift * s.station) - moment;
  const det = k0 * k2 - k1 * k1;
  if (!(det > 1e-9 * k0 * k2)) throw new CoreError('bad-input', 'supports', 'the axles stand at one place');
  const a = (force * k2 - turning * k1) / det;
  const b = (k0 * turning - k1 * force) / det;
  const rises = supports.map((s) => a + b * s.station);
  return { rises, loads: supports.map((s, i) => s.rate * (s.lift - rises[i]!)) };
}
