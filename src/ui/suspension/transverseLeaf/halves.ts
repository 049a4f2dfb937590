import { type PredictionOf } from '@/core/suspension/registry';
import { SIDES } from '@/core/vehicle/side';
import { type Halves } from './CrossElevation';

/** Both halves in one load state, as they are or as planned. */
export const halvesOf = (prediction: PredictionOf<'transverseLeaf'> | null, k: number, of: 'old' | 'built'): Halves =>
  Object.fromEntries(SIDES.map((side) => [side, prediction?.sides[side]?.states[k]?.[of] ?? null])) as Halves;
