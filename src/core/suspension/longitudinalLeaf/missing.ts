import { SIDES } from '../../vehicle/side';
import { type LeafAxleInput } from './input';

/** What still has to be measured before a plan can be predicted. Empty when it can. */
export function missingFor(input: LeafAxleInput): ('pack' | 'spring' | 'change')[] {
  const missing: ('pack' | 'spring' | 'change')[] = [];
  if (input.changes.length === 0) missing.push('change');
  const needsSpring = input.changes.some((c) => c.kind !== 'block');
  if (needsSpring && !input.pack && !input.own?.pack) missing.push('pack');
  if (needsSpring && !SIDES.some((side) => input.sides[side].spring)) missing.push('spring');
  return missing;
}
