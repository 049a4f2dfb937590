import { requireNumber } from '../../errors';

/** One spring of a tandem joined by a rocker, mm along the leaf: to the eye at its own hanger, and to the eye on the rocker. */
export interface TandemSpring {
  outer: number;
  inner: number;
}

/** A rocker (equalizer) between the springs of two axles on one side, mm. */
export interface Equalizer {
  /** Pivot of the rocker to the pin that carries each spring's inner eye, level. */
  arms: { front: number; rear: number };
  springs: { front: TandemSpring; rear: TandemSpring };
  /**
   * Shackles between pin and eye: how far each leans, rad, positive when its lower end stands towards its own axle, and how far its
   * pin lies below the rocker's pivot, mm. Level pins and upright shackles when absent.
   */
  shackles?: { front: { lean: number; below: number }; rear: { lean: number; below: number } };
}

/** Arm on which the force along a shackle turns the rocker, mm. */
const turning = (arm: number, shackle: { lean: number; below: number } | undefined): number =>
  shackle ? arm + shackle.below * Math.tan(shackle.lean) : arm;

function checked({ arms, springs, shackles }: Equalizer): void {
  for (const end of ['front', 'rear'] as const) {
    requireNumber(`arms.${end}`, arms[end], 20, 1000);
    requireNumber(`springs.${end}.outer`, springs[end].outer, 100, 2000);
    requireNumber(`springs.${end}.inner`, springs[end].inner, 100, 2000);
    requireNumber(`shackles.${end}.lean`, shackles?.[end].lean ?? 0, -0.8, 0.8);
    requireNumber(`turning arm, ${end}`, turning(arms[end], shackles?.[end]), 1, 2000);
  }
}

/** Way of an axle over the way of its inner eye, the outer eye standing still and the load unchanged. */
const reach = ({ outer, inner }: TandemSpring): number => outer / (outer + inner);

/**
 * Share of a side's load that the front axle of the two carries, 0–1. On the rocker eye force times arm balances; an axle's force is
 * its inner eye's force times the spring's length over the half away from that eye. The same share at any load and, with level pins,
 * at any swing of the rocker. Statics, friction of pins and shackles left out.
 */
export function frontShare(equalizer: Equalizer): number {
  checked(equalizer);
  const { arms, springs, shackles } = equalizer;
  // Front force over rear force: eye forces stand inversely to their arms, axle forces inversely to the reach of their axles.
  const ratio =
    turning(arms.rear, shackles?.rear) /
    turning(arms.front, shackles?.front) /
    (reach(springs.front) / reach(springs.rear));
  return ratio / (1 + ratio);
}

/** What one wheel on a bump does. */
export interface Swing {
  /** Of the rocker, rad; positive when its front pin goes up. */
  angle: number;
  /** How far the body rises over the pivot of the rocker, mm. */
  body: number;
}

/**
 * Swing of the rocker when the front axle stands higher than the rear one by `step` mm (negative: lower), the loads unchanged and
 * the body level. Level pins. @throws CoreError when the rocker cannot reach it
 */
export function swingOver(equalizer: Equalizer, step: number): Swing {
  checked(equalizer);
  const { arms, springs } = equalizer;
  const [front, rear] = [reach(springs.front), reach(springs.rear)];
  const way = arms.front * front + arms.rear * rear;
  const sine = requireNumber('step', step / way, -0.9, 0.9);
  // The front axle goes up by its own part of the way; what is left of the step lifts the body.
  return { angle: Math.asin(sine), body: step - arms.front * front * sine };
}
