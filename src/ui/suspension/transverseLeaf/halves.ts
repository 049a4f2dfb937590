import { type JobView } from '@/contracts/job';
import { type PredictionOf } from '@/core/suspension/registry';
import { SIDES } from '@/core/vehicle/side';
import { figureValues } from '../../figure/values';
import { type Halves } from './CrossElevation';

/** Both halves in one load state, as they are or as planned. */
export const halvesOf = (prediction: PredictionOf<'transverseLeaf'> | null, k: number, of: 'old' | 'built'): Halves =>
  Object.fromEntries(SIDES.map((side) => [side, prediction?.sides[side]?.states[k]?.[of] ?? null])) as Halves;

/** Loaded radius of the tyres as read on this side or the other; null where nobody did. */
export const radiusOf = (view: JobView): number | null => {
  const read = figureValues(view, null)('groundToHub', 'left');
  return read.known ? read.value : null;
};
