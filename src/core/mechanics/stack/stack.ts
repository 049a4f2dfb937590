import { requireNumber } from '../../errors';

/** Where the spring lies: above the axle tube or below it. */
export type Arrangement = 'over' | 'under';

/** What stands between the axle's centre and the main leaf, mm. */
export interface Stack {
  arrangement: Arrangement;
  tubeDiameter: number;
  /** Perch on the side the spring is on. */
  perch: number;
  block: number;
  /** A wedge between spring and perch: its height in the middle, mm, and how far it turns the axle's nose up, rad. */
  wedge?: { height: number; noseUp: number };
  /** Main leaf's thickness. */
  main: number;
  /** All leaves below the main leaf together. */
  below: number;
}

/**
 * Height of the main leaf's mid-surface above the hub centre, mm (negative when the spring hangs under the axle).
 * Which thickness counts: over the axle everything below the main leaf's mid-surface lifts the frame; under the axle
 * only what lies above it, so leaves below the main leaf do not count.
 */
export function mainLeafAboveHub(stack: Stack): number {
  requireNumber('tubeDiameter', stack.tubeDiameter, 0, 400);
  requireNumber('perch', stack.perch, 0, 300);
  requireNumber('block', stack.block, 0, 300);
  const shared = stack.tubeDiameter / 2 + stack.perch + stack.block + (stack.wedge?.height ?? 0) + stack.main / 2;
  return stack.arrangement === 'over' ? shared + stack.below : -shared;
}

/**
 * How far a wedge turns the axle's nose up, rad: its thick end to the rear lifts the nose under a spring that lies over the axle, and
 * lowers it under one below. @param angle between its faces, rad (0 to 0.35)
 */
export function wedgeNoseUp(angle: number, thick: 'front' | 'rear', arrangement: Arrangement): number {
  requireNumber('wedge', angle, 0, 0.35);
  return (thick === 'rear') === (arrangement === 'over') ? angle : -angle;
}

/**
 * Highest part of axle and spring that a bump stop may strike, mm above the hub's centre, plates left out: the pack's top where the spring lies over the axle,
 * else the tube.
 */
export const topAboveHub = (stack: Stack): number =>
  stack.arrangement === 'over' ? mainLeafAboveHub(stack) + stack.main / 2 : stack.tubeDiameter / 2;
