import { ASSUMED_AXLE } from '../../sheet/assumed';

/** Defaults that stand in for a missing reading, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED = {
  ...ASSUMED_AXLE,
  inactive: { value: 0.67, half90: 0.25 },
  departure: { value: 0, half90: 0.1 },
  /** What a helper spring presses against what is written of it, as a share: read in a press, or out of a list. */
  helperRead: 0.04,
  helperCatalogue: 0.1,
  /** Departure of an overload leaf that nobody read: nearly flat. */
  overload: { value: -0.85, half90: 0.2 },
  /** Length that a maker forms flat, over the distance of the U-bolts. */
  formedShare: { value: 1, half90: 0.25 },
  friction: { value: 0.3, half90: 0.15 },
  /** Over liners or tip pads. */
  frictionLined: { value: 0.15, half90: 0.08 },
  shackleLength: { value: 105, half90: 15 },
  /** Covers the usual 105 ± 10° empty and 92 ± 8° laden, since the state of the day may be either. */
  shackleAngle: { value: (99 * Math.PI) / 180, half90: (13 * Math.PI) / 180 },
  /** A pad lies level; how nearly is assumed. */
  /** From a roller to dry steel on a pad. */
  padFriction: { value: 0.15, half90: 0.15 },
  padSlope: { value: 0, half90: (5 * Math.PI) / 180 },
  clipPlay: { value: 2, half90: 1.5 },
  eyeBore: { value: 38, half90: 8 },
  tubeDiameter: { value: 80, half90: 15 },
  perchHeight: { value: 20, half90: 10 },
  leafThicknessWorn: 0.3,
  uboltNut: 14,
  /** Spring plate and washer, where nobody measured them: only for the size of a U-bolt to order. */
  plate: { value: 10, half90: 4 },
  washer: { value: 3, half90: 1 },
  centreBolt: { nutHeight: 8, pitch: 1.5 },
  camberCatalogue: 15,
  /** A specialist’s re-arching comes out at the wanted camber within this, mm. Assumed. */
  rearched: 8,
  camberString: 4,
} as const;
