import { requireNumber } from '../../errors';

/**
 * A leaf that hangs with one end in a fixed eye and stands with its other end, its nose, on a sprung carrier; the axle is clamped to it in
 * between. Statics of a level beam; what its slope does to the arms is left out.
 */
export interface CarrierArms {
  /** Fixed eye to the axle, level, mm (50–3000). */
  fixed: number;
  /** Axle to the nose, level, mm (50–3000). */
  nose: number;
}

function span({ fixed, nose }: CarrierArms): number {
  requireNumber('arms.fixed', fixed, 50, 3000);
  requireNumber('arms.nose', nose, 50, 3000);
  return fixed + nose;
}

/** How much of what the nose moves the axle moves, and of what the axle carries the nose carries: one lever both ways. */
export const noseShare = (arms: CarrierArms): number => arms.fixed / span(arms);

/**
 * Rate at the axle of carrier and leaf behind one another, N/mm: 1/k = s²/k_nose + 1/k_leaf with s the nose's share.
 * @param noseRate of what the nose stands on @param leafRate of the leaf at the axle, both ends held, N/mm, over 0
 */
export function axleRate(arms: CarrierArms, noseRate: number, leafRate: number): number {
  const share = noseShare(arms);
  return 1 / (share ** 2 / noseRate + 1 / leafRate);
}

/** Bending in the leaf at the axle, N·mm. @param load at the axle, N */
export const bendingAtAxle = (arms: CarrierArms, load: number): number => (load * arms.fixed * arms.nose) / span(arms);
