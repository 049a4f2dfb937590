import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { placeByLength } from '@/core/mechanics/leafpack/pack';

/** Place of the first added leaf in the built pack, 0 = main leaf; null when none is added. */
export function addedLeafIndex(input: LeafAxleInput): number | null {
  const change = input.changes.find((c) => c.kind === 'addLeaf');
  if (!change || !input.pack) return null;
  const lengths = input.pack.leaves.map((leaf) => ({ front: leaf.front.value, rear: leaf.rear.value }));
  return placeByLength(lengths, { front: change.front.value, rear: change.rear.value });
}
