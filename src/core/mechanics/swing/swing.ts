import { CoreError, requireNumber } from '../../errors';

/** An arm or beam that carries a hub and swings about one pivot on the frame, seen square to its swing; mm. */
export interface SwingArm {
  /** Pivot to hub, mm (100–3000). */
  arm: number;
  /** Pivot above the hub as it stands, mm; negative below. */
  rise: number;
}

/** Share of the arm that a hub may stand off its pivot's height: nearly straight up or down. Chosen. */
const REACH = 0.95;
/** How far the hub may still go down against the frame, mm. */
export const lowest = ({ arm, rise }: SwingArm): number => REACH * arm - rise - 1e-6;

const slopeOf = ({ arm, rise }: SwingArm): number => {
  requireNumber('swing.arm', arm, 100, 3000);
  if (!(Math.abs(rise) < REACH * arm))
    throw new CoreError('no-equilibrium', 'swing.rise', 'the hub stands further from its pivot than the arm reaches');
  return Math.asin(rise / arm);
};

/** How far the arm turns when its hub goes down against the frame, rad: outer end down positive. @param lower mm, negative up @throws CoreError past its reach */
export const swingTurn = (swing: SwingArm, lower: number): number =>
  slopeOf({ ...swing, rise: swing.rise + lower }) - slopeOf(swing);

/** How far the hub goes out from its pivot meanwhile, mm, level. @throws CoreError as `swingTurn` */
export const swingOut = (swing: SwingArm, lower: number): number =>
  swing.arm * (Math.cos(slopeOf({ ...swing, rise: swing.rise + lower })) - Math.cos(slopeOf(swing)));
