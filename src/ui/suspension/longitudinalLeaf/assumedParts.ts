import { estimatesOf } from '@/core/estimate/tree';
import { inputLabel } from '@/core/suspension/longitudinalLeaf/words';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';

/** Inputs that nobody measured, in words; those without effect on a drawing or height are left out. */
export function assumedParts(input: LeafAxleInput): string[] {
  const named = estimatesOf(input)
    .filter(({ path, estimate }) => estimate.origin === 'assumed' && !path.endsWith('departure') && path !== 'tyreRate')
    .filter(({ path, estimate }) => path !== 'block' || estimate.half90 > 0)
    .map(({ path }) => inputLabel(path));
  const hangs =
    input.pack && input.shackle && !input.shackle.eye ? ['that the eye hangs below the shackle’s pivot'] : [];
  return [...new Set([...named, ...hangs])];
}
