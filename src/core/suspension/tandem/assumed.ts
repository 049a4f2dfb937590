import { ASSUMED_AXLE } from '../../sheet/assumed';

const RIGHT = Math.PI / 180;

/** Defaults that stand in for a missing reading of a pair of axles, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED_PAIR = {
  ...ASSUMED_AXLE,
  /** Seat of 90 mm, of which two thirds do not bend. */
  inactive: { value: 30, half90: 14 },
  seatShare: { value: 0.67, half90: 0.25 },
  friction: { value: 0.3, half90: 0.15 },
  /** What a handbook's rate of a graduated spring is good for, against one that was measured. */
  handbook: 0.12,
  spacing: { value: 850, half90: 100 },
  below: { value: 0, half90: 15 },
  lean: { value: 0, half90: 10 * RIGHT },
  tilt: { value: 0, half90: 6 * RIGHT },
  shackle: { value: 60, half90: 15 },
  outerDrop: { value: 60, half90: 25 },
  innerDrop: { value: 110, half90: 35 },
  pitch: { value: 0, half90: 0.6 * RIGHT },
  /** Where nobody weighed the axles apart. */
  share: { value: 0.5, half90: 0.06 },
  tube: { value: 60, half90: 15 },
  perch: { value: 15, half90: 8 },
  camberCatalogue: 8,
  sizeCatalogue: 0.2,
} as const;
