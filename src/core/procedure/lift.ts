import { requireNumber } from '../errors';

/** A stand with its notches, mm. */
export interface Stand {
  lowest: number;
  highest: number;
  notch: number;
}

export interface LiftHeight {
  /** How far the frame is raised over where it stands, mm. */
  raise: number;
  /** Top of the stand under the frame at least, mm over the ground. */
  least: number;
  /** The notch to take; null where the stand does not reach. */
  set: number | null;
  /** What the jack must reach at its place, mm over the ground: a little above the stand, so that it goes in. */
  jack: number;
}

/** The jack goes this much above the stand so that a notch can be set, mm. Chosen. */
export const ABOVE_STAND = 15;

/**
 * How high the frame is held so that the axle hangs free with its tyres clear of the ground. @param frame height of the place of the stand over
 * the ground as it stands, mm @param droop the hub's way from where it stands to hanging, mm @param clear under the tyre, mm; with the wheel off less
 * @param squash what the tyre is pressed in by its load, mm
 */
export function liftHeight(frame: number, droop: number, clear: number, squash: number, stand: Stand): LiftHeight {
  requireNumber('frame', frame, 50, 2500);
  requireNumber('droop', droop, 0, 600);
  requireNumber('clear', clear, 0, 500);
  requireNumber('squash', squash, 0, 150);
  requireNumber('notch', stand.notch, 1, 200);
  requireNumber('highest', stand.highest, stand.lowest, 3000);
  const raise = droop + squash + clear;
  const least = frame + raise;
  const steps = Math.max(0, Math.ceil((least - stand.lowest) / stand.notch - 1e-9));
  const set = stand.lowest + steps * stand.notch;
  return { raise, least, set: set <= stand.highest + 1e-9 ? set : null, jack: Math.max(least, set) + ABOVE_STAND };
}
