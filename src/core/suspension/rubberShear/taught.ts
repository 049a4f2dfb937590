import { agreed } from '../../estimate/agree';
import { draw } from '../../estimate/tree';
import { CoreError } from '../../errors';
import { type Side } from '../../vehicle/side';
import { type ShearAxleInput } from './input';
import { ShearSideModel } from './sideModel';

/** A reading under another load that is this far from the model's rate belongs to another spring or another load. */
const FAR = { least: 0.5, most: 2 } as const;

/**
 * What the body's height under two loads says of the block's rate; the leaf is taken as its sizes say. The input with the rate found, or as
 * it was without a second load.
 */
export function taughtShear(input: ShearAxleInput, side: Side): { input: ShearAxleInput; unfit: string | null } {
  const { block } = input;
  const second = input.sides[side].spring?.second;
  if (!block || !second) return { input, unfit: null };
  const unfit = {
    input,
    unfit: 'what the body goes down under the second load does not belong to a block of this rate',
  };
  try {
    const figures = new ShearSideModel(
      draw(input, (e) => e.value),
      side,
    ).figures([], 0);
    if (!figures) return { input, unfit: null };
    // The leaf's part of the give is left out: what remains is the block's.
    const all = second.lower.value / second.extra.value;
    const ofLeaf = (1 - figures.ofRubber) / figures.rate;
    const said = figures.ofRubber / figures.rate / (all - ofLeaf);
    if (!(said > FAR.least && said < FAR.most)) return unfit;
    const ofTape =
      Math.hypot(second.lower.half90 / second.lower.value, second.extra.half90 / second.extra.value) *
      (all / (all - ofLeaf));
    return { input: { ...input, block: { ...block, rate: agreed(block.rate, said, ofTape) } }, unfit: null };
  } catch (error) {
    if (error instanceof CoreError) return unfit;
    throw error;
  }
}
