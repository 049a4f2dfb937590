import { estimatesOf, inputLabel, type AxleInput } from '@/core/height/axleInput';

/** Inputs that nobody measured, in words; those without effect on a drawing or height are left out. */
export function assumedParts(input: AxleInput): string[] {
  const named = estimatesOf(input)
    .filter(({ path, estimate }) => estimate.origin === 'assumed' && !path.endsWith('departure') && path !== 'tyreRate')
    .filter(({ path, estimate }) => path !== 'block' || estimate.half90 > 0)
    .map(({ path }) => inputLabel(path));
  return [...new Set(named)];
}
