import { agreed } from '../../estimate/agree';
import { draw } from '../../estimate/tree';
import { type Side } from '../../vehicle/side';
import { type TandemAxleInput, type TandemKind } from './input';
import { TandemSideModel } from './sideModel';

/** A reading under another load that is this far from the handbook's rate belongs to other springs or another load. */
const FAR = { least: 0.55, most: 1.8 } as const;

/**
 * What the frame's height under two loads says of the springs' rate, over what a handbook computes from their sizes: each is believed
 * by its own doubt (logarithms, weighed by their inverse squares). The input with the factor found, or as it was without a second load.
 */
export function taughtPair<K extends TandemKind>(
  input: TandemAxleInput<K>,
  side: Side,
): { input: TandemAxleInput<K>; unfit: string | null } {
  const { spring } = input;
  const second = input.sides[side].spring?.second;
  if (!spring || !second) return { input, unfit: null };
  const model = new TandemSideModel(
    draw(input, (e) => e.value),
    side,
  );
  const computed = model.rise([], 0) - model.rise([], second.extra.value);
  const said = computed / second.lower.value;
  if (!(said > FAR.least && said < FAR.most))
    return { input, unfit: 'what the frame goes down under the second load does not belong to springs of these sizes' };
  const ofTape = Math.hypot(second.lower.half90 / second.lower.value, second.extra.half90 / second.extra.value);
  return {
    input: { ...input, spring: { ...spring, rateFactor: agreed(spring.rateFactor, said, ofTape) } },
    unfit: null,
  };
}
