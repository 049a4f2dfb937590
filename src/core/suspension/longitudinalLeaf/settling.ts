import { type LeafAxleInput } from './input';

/** Settling a new leaf is expected to take after the work: 5 ± 5 mm in 1,500 km. Common practice. */
const NEW_LEAF_SETTLING = { value: -5, half90: 5 };
const NEW_PACK_SETTLING = { value: -5, half90: 4 };
const USED_SETTLING = { value: 0, half90: 3 };

/** Height that settling is expected to take after the work, mm, 90 %. Common practice. */
export function settlingOf({ changes }: LeafAxleInput): { value: number; half90: number } {
  if (changes.some((c) => c.kind === 'addLeaf')) return NEW_LEAF_SETTLING;
  // A re-arched pack has lost its set, like a new one.
  if (changes.some((c) => (c.kind === 'pack' && !c.used) || c.kind === 'rearch')) return NEW_PACK_SETTLING;
  return USED_SETTLING;
}
