import { type SettlingId } from '../../vehicle/settling';
import { type LeafAxleInput } from './input';

/** What of the work settles. */
export function settlingOf({ changes }: Pick<LeafAxleInput, 'changes'>): SettlingId {
  if (changes.some((c) => c.kind === 'addLeaf')) return 'addedLeaf';
  if (changes.some((c) => (c.kind === 'pack' && !c.used) || c.kind === 'rearch')) return 'newPack';
  return 'usedPack';
}
