import { requireNumber } from '../errors';
import { ALL_THREADS, type Thread } from './thread';

export interface ThreadGuess {
  thread: Thread;
  /** Nominal less measured diameter, mm, and measured pitch over the thread's own, as a share. */
  under: number;
  pitchOff: number;
  /** It runs together with the best one in a hand: nearly the same diameter, another pitch, or the other way round. */
  near: boolean;
}

/** A thread's crests measure this much under its name, mm: most are cut a little small and worn. Common practice. */
const UNDER = { from: -0.08, to: 0.45 } as const;
/** Pitch of ten threads told by a rule is within this share. Chosen. */
const PITCH_WITHIN = 0.035;

/**
 * Threads that a bolt may have, by its measured crests and the pitch of a gauge or of ten threads over ten. The likely ones first; then those that
 * are near enough to be mistaken for it: they start by hand and jam, or strip. @param outside mm (3–60) @param pitch mm (0.3–5)
 */
export function identifyThread(outside: number, pitch: number): ThreadGuess[] {
  requireNumber('outside', outside, 3, 60);
  requireNumber('pitch', pitch, 0.3, 5);
  const all = ALL_THREADS.filter((t) => t.pitch !== null).map((thread) => ({
    thread,
    under: thread.diameter - outside,
    pitchOff: pitch / thread.pitch! - 1,
  }));
  const fits = (g: (typeof all)[number]) =>
    g.under >= UNDER.from && g.under <= UNDER.to && Math.abs(g.pitchOff) <= PITCH_WITHIN;
  const off = (g: (typeof all)[number]) => Math.abs(g.under - 0.12) / 0.4 + Math.abs(g.pitchOff) / PITCH_WITHIN;
  const likely = all.filter(fits).toSorted((p, q) => off(p) - off(q));
  const mistaken = all
    .filter((g) => !fits(g) && Math.abs(g.under - 0.12) < 0.8 && Math.abs(g.pitchOff) < 0.12)
    .toSorted((p, q) => off(p) - off(q));
  return [...likely.map((g) => ({ ...g, near: false })), ...mistaken.slice(0, 3).map((g) => ({ ...g, near: true }))];
}
