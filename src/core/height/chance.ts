import { Z90 } from '../estimate/estimate';

/** Standard normal distribution function: Abramowitz and Stegun 26.2.17, good to 7.5e-8. */
function below(z: number): number {
  if (z < 0) return 1 - below(-z);
  const t = 1 / (1 + 0.2316419 * z);
  const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return 1 - (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
}

export const REACHES = ['likely', 'edge', 'missed'] as const;
export type Reach = (typeof REACHES)[number];

/** How likely a foretold change ends inside the wish. */
export interface Chance {
  /** 0–1 */
  share: number;
  reach: Reach;
}

/** From this share on an outcome is called likely; below that one it is called missed. Chosen. */
const LIKELY = 0.8;
const MISSED = 0.2;

/**
 * Share of a foretold change, half of a normal distribution on either side of `change` with 90 % between the ends of its band, that lies
 * inside the wish. @param change mm @param band how far it reaches below and above, mm, over 0 @param wish target ± tolerance, mm
 */
export function chanceOf(
  change: number,
  band: { below: number; above: number },
  wish: { target: number; tolerance: number },
): Chance {
  const at = (edge: number) => {
    const off = wish.target + edge - change;
    return below((off * Z90) / Math.max(off < 0 ? band.below : band.above, 1e-9));
  };
  const share = Math.min(1, Math.max(0, at(wish.tolerance) - at(-wish.tolerance)));
  return { share, reach: share >= LIKELY ? 'likely' : share >= MISSED ? 'edge' : 'missed' };
}
