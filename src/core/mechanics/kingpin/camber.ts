import { CoreError, requireNumber } from '../../errors';

/** What carries one wheel's upright: its lower joint moves with the spring, its upper joint hangs on an arm to the frame; mm and rad. */
export interface UprightLinks {
  /** Upper joint to the arm's pivot on the frame, mm (20–800). */
  arm: number;
  /** The arm's outer end above its pivot, rad (−1 to 1). */
  slope: number;
  /** Lower joint to upper joint, mm (20–800); taken as upright where nothing has moved yet. */
  kingpin: number;
}

/**
 * Camber that a wheel gains when its lower joint moves from where it stands, rad; positive with the tyre's top outwards. Two links and
 * a rigid upright in one plane, solved exactly: the upper joint lies on the circle of its arm and on the one about the lower joint.
 * @param moved of the lower joint, outwards and up against the frame, mm (−500 to 500)
 * @throws CoreError `bad-input` for sizes that are no links, `no-equilibrium` where arm and upright no longer reach one another
 */
export function camberGain({ arm, slope, kingpin }: UprightLinks, moved: { out: number; up: number }): number {
  requireNumber('upright.arm', arm, 20, 800);
  requireNumber('upright.slope', slope, -1, 1);
  requireNumber('upright.kingpin', kingpin, 20, 800);
  requireNumber('moved.out', moved.out, -500, 500);
  requireNumber('moved.up', moved.up, -500, 500);
  const pivot = { x: -arm * Math.cos(slope), y: kingpin - arm * Math.sin(slope) };
  const [dx, dy] = [moved.out - pivot.x, moved.up - pivot.y];
  const apart = Math.hypot(dx, dy);
  const along = (arm ** 2 - kingpin ** 2 + apart ** 2) / (2 * apart);
  const aside = arm ** 2 - along ** 2;
  if (!(aside > 0))
    throw new CoreError('no-equilibrium', 'upright', 'the upper arm does not reach the upright any more');
  const off = Math.sqrt(aside);
  const [ux, uy] = [dx / apart, dy / apart];
  // Of the two places where the circles cross, the one the upright stands at now.
  const joints = [1, -1].map((sign) => ({
    x: pivot.x + along * ux - sign * off * uy,
    y: pivot.y + along * uy + sign * off * ux,
  }));
  const from = (p: { x: number; y: number }) => Math.hypot(p.x - moved.out, p.y - kingpin - moved.up);
  const upper = joints.reduce((near, one) => (from(one) < from(near) ? one : near));
  return Math.atan2(upper.x - moved.out, upper.y - moved.up);
}
