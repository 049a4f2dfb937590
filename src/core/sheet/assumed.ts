/** Defaults of any axle that stand in for a missing reading, always shown as assumed. Common practice; 90 % half-widths. */
export const ASSUMED_AXLE = {
  tyreRate: { value: 250, half90: 80 },
  trackOverBase: { value: 1.5, half90: 0.1 },
  unsprungShare: 0.2,
  padShare: 0.02,
  loadShare: 0.15,
  /** A weigh ticket is good to a few per cent of the axle; how it parts to left and right is not on it. */
  ticketShare: 0.05,
  payloadShare: 0.1,
} as const;
