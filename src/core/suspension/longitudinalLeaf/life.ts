import { ENDLESS, type LifeBand } from '../../mechanics/leafpack/stress';
import { type LeafFigures } from './figures';

/**
 * Life over a band of stress: the worse surface at its high end, the better one at its low end, between the shares told by the
 * logarithm of the cycles. @param stress MPa @returns null where no life is told
 */
export function lifeWithin(
  { life, lifeBy, highestStress }: LeafFigures,
  stress: { low: number; high: number } | undefined,
): LifeBand | null {
  if (!life || !lifeBy || !stress || !highestStress) return life;
  const at = (asked: number, of: 'least' | 'most'): number => {
    const share = Math.min(lifeBy.at(-1)!.share, Math.max(lifeBy[0]!.share, asked));
    const k = Math.max(
      1,
      lifeBy.findIndex((l) => l.share >= share),
    );
    const [low, high] = [lifeBy[k - 1]!, lifeBy[k]!];
    const log = (cycles: number) => Math.log(Math.max(1, cycles));
    const cycles = Math.exp(
      log(low[of]) + ((share - low.share) / (high.share - low.share)) * (log(high[of]) - log(low[of])),
    );
    return Math.min(ENDLESS, Math.round(cycles));
  };
  return { least: at(stress.high / highestStress, 'least'), most: at(stress.low / highestStress, 'most') };
}
