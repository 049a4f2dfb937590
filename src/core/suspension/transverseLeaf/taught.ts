import { agreed } from '../../estimate/agree';
import { draw } from '../../estimate/tree';
import { CoreError } from '../../errors';
import { type Side } from '../../vehicle/side';
import { type CrossAxleInput } from './input';
import { CrossSideModel } from './sideModel';

/** A reading under another load that is this far from the model's rate belongs to another spring or another load. */
const FAR = { least: 0.6, most: 1.7 } as const;

/**
 * What the body's height under two loads says of the spring's rate, over what the leaf model solves from its sizes. The input with the
 * factor found, or as it was without a second load.
 */
export function taughtCross(input: CrossAxleInput, side: Side): { input: CrossAxleInput; unfit: string | null } {
  const { spring } = input;
  const second = input.sides[side].spring?.second;
  if (!spring || !second) return { input, unfit: null };
  const unfit = {
    input,
    unfit: 'what the body goes down under the second load does not belong to a spring of these sizes',
  };
  let said: number;
  try {
    const model = new CrossSideModel(
      draw(input, (e) => e.value),
      side,
    );
    said = (model.rise([], 0) - model.rise([], second.extra.value)) / second.lower.value;
  } catch (error) {
    if (error instanceof CoreError) return unfit;
    throw error;
  }
  if (!(said > FAR.least && said < FAR.most)) return unfit;
  const ofTape = Math.hypot(second.lower.half90 / second.lower.value, second.extra.half90 / second.extra.value);
  return {
    input: { ...input, spring: { ...spring, rateFactor: agreed(spring.rateFactor, said, ofTape) } },
    unfit: null,
  };
}
