import { ASSUMED_AXLE } from '../../sheet/assumed';

/** Defaults that stand in for a missing reading of a rubber shear spring, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED_SHEAR = {
  ...ASSUMED_AXLE,
  /** Shore A. */
  hardness: { value: 55, half90: 6 },
  /** A gauge pressed on aged rubber. */
  hardnessRead: 3,
  hysteresis: { value: 0.03, half90: 0.02 },
  /** What the sizes of a leaf are good for: its clamp, its tips. */
  leafShare: 0.12,
  /** Of a block's rate by its maker, and of one taken from a list. */
  makerShare: 0.08,
  catalogueShare: 0.1,
  offsetCatalogue: 4,
} as const;
