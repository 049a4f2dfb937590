import { type CrossStanding } from './checks';
import { type CrossFigures } from './sideModel';

/** What of one half, as it was and as built under one load, is judged. */
export const standingOf = (
  old: Pick<CrossFigures, 'reach' | 'camber'> | null,
  {
    reach,
    camber,
    peakStress,
    clampStress,
    nominalStress,
  }: Pick<CrossFigures, 'reach' | 'camber' | 'peakStress' | 'clampStress' | 'nominalStress'>,
): CrossStanding => ({
  working: peakStress,
  clamped: clampStress,
  nominal: nominalStress,
  wider: old ? reach - old.reach : 0,
  gained: camber === null ? null : camber - (old?.camber ?? 0),
});
