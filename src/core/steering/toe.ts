import { requireNumber } from '../errors';

/**
 * Total toe, rad, from the difference of two widths across the treads: how much narrower it is in front than behind, over the diameter it was
 * read at. Plus is toe-in. @param difference mm (−100–100) @param diameter between the two places, mm (100–1600)
 */
export function toeAngle(difference: number, diameter: number): number {
  requireNumber('difference', difference, -100, 100);
  requireNumber('diameter', diameter, 100, 1600);
  return Math.atan(difference / diameter);
}

/** The same toe read at another diameter, mm. */
export const toeAt = (angle: number, diameter: number): number => diameter * Math.tan(angle);

/** Widths read, the wheels rolled by half a turn, and read again: run-out cancels in the mean. mm */
export const meanToe = (first: { front: number; rear: number }, turned: { front: number; rear: number }): number =>
  (first.rear - first.front + turned.rear - turned.front) / 2;

/**
 * Turns of a tie-rod sleeve or end for a change of total toe. Both ends of a sleeve with right and left thread move its length by twice the lead.
 * @param angle change of total toe, rad @param arm steering arm, kingpin to tie rod, mm @param lead mm a turn changes the rod's length
 */
export function tieRodTurns(angle: number, arm: number, lead: number): number {
  requireNumber('arm', arm, 30, 500);
  requireNumber('lead', lead, 0.3, 10);
  return (arm * Math.tan(angle)) / lead;
}
