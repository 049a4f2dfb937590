import { CoreError } from '../errors';
import { type Side } from '../height/axleInput';
import { type DrawnInput, type SideModel } from '../height/axleModel';

/** How far the axle drops below the frame, mm, when its wheels are lifted. */
export interface Droop {
  /** As it stands now. */
  now: number;
  /** With the planned changes. */
  planned: number;
}

/**
 * Travel of the hub from ride height in the base state to hanging by its own unsprung weight, by the springs alone: shocks,
 * straps and stops may end it before. null without a solved spring or where the hanging state does not exist.
 */
export function droopTravel(model: SideModel, drawn: DrawnInput, side: Side): Droop | null {
  const load = drawn.sides[side].spring?.load;
  if (!model.hasSpring || load === undefined || drawn.hanging === undefined) return null;
  const lifted = -drawn.hanging - load;
  const travel = (changes: DrawnInput['changes']) => model.state(changes, lifted).rise - model.state(changes, 0).rise;
  try {
    return { now: travel([]), planned: travel(drawn.changes) };
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
