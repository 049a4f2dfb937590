import { ASSUMED_AXLE } from '../../sheet/assumed';

/** Defaults that stand in for a missing reading of a spring across, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED_CROSS = {
  ...ASSUMED_AXLE,
  clamp: { value: 100, half90: 25 },
  inactive: { value: 0.67, half90: 0.25 },
  friction: { value: 0.3, half90: 0.15 },
  /** What the leaf model's rate is good for from sizes alone: leaves that are not quite alike, links that pull aside. */
  rateShare: 0.06,
  /** The shortest leaf's doubt where nobody read it, as a share of the half. */
  shortestShare: 0.1,
  /** Upper arm level. */
  slope: { value: 0, half90: 0.12 },
  camberCatalogue: 8,
  sizeCatalogue: 0.2,
} as const;
