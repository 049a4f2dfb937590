import { type ShearStanding } from './checks';
import { type ShearFigures } from './sideModel';

type Judged = Pick<ShearFigures, 'strain' | 'toLimit' | 'leafStress' | 'blockRate'>;

/** What of one side, as it was and as built under one load, is judged. */
export const standingOf = (
  old: Pick<Judged, 'blockRate'> | null,
  { strain, toLimit, leafStress, blockRate }: Judged,
): ShearStanding => ({ strain, toLimit, leafStress, blockRate, rateNow: old?.blockRate ?? null });
