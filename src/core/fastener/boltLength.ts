import { requireNumber } from '../errors';
import { type VerdictState } from '../verdict';

export interface BoltNeed {
  /** Everything clamped between head and nut, washers apart, mm. */
  clamped: number;
  /** Both washers together, mm. */
  washers: number;
  nutHeight: number;
  pitch: number;
  /** From under the head to the last shear plane: so far the shank must be plain; null where none is sheared, mm. */
  plain?: number | null;
}

/** Threads that stand beyond a nut: two at least, three are enough. Common practice. */
export const BEYOND = { least: 2, most: 3 } as const;

/** Length under the head, mm: clamped parts, washers, nut and two to three threads. */
export function boltLength({ clamped, washers, nutHeight, pitch }: BoltNeed): { least: number; most: number } {
  requireNumber('clamped', clamped, 0.5, 1000);
  requireNumber('washers', washers, 0, 40);
  requireNumber('nutHeight', nutHeight, 1, 60);
  requireNumber('pitch', pitch, 0.3, 6);
  const grip = clamped + washers + nutHeight;
  return { least: grip + BEYOND.least * pitch, most: grip + BEYOND.most * pitch };
}

export interface BoltVerdict {
  state: VerdictState;
  /** What is lacking, or what must come off, mm. */
  short: number;
  trim: number;
  text: string;
}

/** Whether a bolt at hand does: too short never does, too long is trimmed, and thread must not lie in a shear plane or under the nut's way. */
export function boltVerdict(need: BoltNeed, bolt: { length: number; threaded: number }): BoltVerdict {
  const { least, most } = boltLength(need);
  requireNumber('length', bolt.length, 1, 1200);
  requireNumber('threaded', bolt.threaded, 1, bolt.length);
  const short = Math.max(0, least - bolt.length);
  const trim = Math.max(0, bolt.length - most);
  const plain = bolt.length - bolt.threaded;
  const say = (state: VerdictState, text: string): BoltVerdict => ({ state, short, trim, text });
  if (short > 0) return say('does not fit', `${short.toFixed(1)} mm too short`);
  if (plain > need.clamped + need.washers)
    return say('does not fit', 'the nut runs onto the plain shank before it clamps');
  if (need.plain && plain < need.plain)
    return say('does not fit', 'thread lies in the shear plane: longer plain shank');
  return trim > 0 ? say('look', `trim ${trim.toFixed(1)} mm, or a shorter one`) : say('fits', 'long enough');
}
