import { type Side } from '@/core/vehicle/side';

/** Where it swings, and what does not change with it, mm and rad. */
export interface SwingPlace {
  /** Across, seen from behind, or along the vehicle, seen from its left. */
  plane: 'behind' | 'side';
  /** Pivot to hub, and to the coil. */
  arm: number;
  coilArm: number;
  /** Slope of the arm today. */
  slope: number;
  /** Wheel to wheel. */
  track: number;
  /** Loaded radius of the tyres; null where nobody read it: then neither tyre nor ground is drawn. */
  radius: number | null;
}

interface Spot {
  x: number;
  y: number;
}
/** Pivot at its height 0 of one side's beam, its hub and its coil's foot; frame held still. */
export function spotsOf(
  { plane, arm, coilArm, track }: SwingPlace,
  side: Side,
  slope: number,
): Record<'pivot' | 'hub' | 'foot', Spot> {
  const out = plane === 'side' || side === 'right' ? 1 : -1;
  const pivot = plane === 'side' ? { x: 0, y: 0 } : { x: out * (track / 2 - arm), y: 0 };
  const along = (by: number): Spot => ({ x: pivot.x + out * by * Math.cos(slope), y: -by * Math.sin(slope) });
  return { pivot, hub: along(arm), foot: along(coilArm) };
}
