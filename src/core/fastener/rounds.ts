import { requireNumber } from '../errors';

/** Shares of the figure that a set of four is drawn up in. Common practice: three rounds. */
export const ROUNDS = [1 / 3, 2 / 3, 1] as const;
/** A nut within this of a round's figure has it: a wrench's own scatter. Common practice, 4 %. */
const WITHIN = 0.04;

/** Four nuts as they stand on a plate seen from below, in the order they are drawn up: each across from the last. */
export const CROSS = ['front outer leg', 'rear inner leg', 'front inner leg', 'rear outer leg'] as const;
export type CrossLeg = (typeof CROSS)[number];

export interface Round {
  /** From 1; past the last when every nut has its figure. */
  round: number;
  /** What this round goes to, N·mm. */
  target: number;
  /** The nut that is next, as an index of the order; null when all are final. */
  next: number | null;
}

/**
 * Which nut is next when four are drawn up crosswise in rounds. @param final figure of all, N·mm @param read what each was read at last, in
 * the order of the cross; null for not at all
 */
export function roundOf(final: number, read: readonly (number | null)[]): Round {
  requireNumber('torque', final, 1, 5e6);
  for (const [k, share] of ROUNDS.entries()) {
    const target = final * share;
    const next = read.findIndex((value) => (value ?? 0) < target * (1 - WITHIN));
    if (next >= 0) return { round: k + 1, target, next };
  }
  return { round: ROUNDS.length + 1, target: final, next: null };
}

/** Largest less smallest of what was read; null with less than two. */
export function spreadOf(read: readonly (number | null)[]): number | null {
  const known = read.filter((v) => v !== null);
  return known.length < 2 ? null : Math.max(...known) - Math.min(...known);
}

/** Ends of U-bolts stand out alike when they differ by no more than a thread. Common practice. */
export const evenThreads = (spread: number, pitch: number): boolean => spread <= pitch + 1e-9;
