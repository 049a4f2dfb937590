import { type Side } from '../vehicle/side';

/** One field a flag points at. */
export interface FlagAt<P extends string = string> {
  point: P;
  side: Side | null;
  leafId: string | null;
  stateId: string | null;
}

/** Words and figures of a flag; lengths mm, masses kg, so that a screen shows them in its own unit. */
export type Said = string | { mm: number } | { kg: number };

/** Readings that do not go together, in plain words. A flag never refuses anything. */
export interface Flag<P extends string = string, R extends string = string> {
  rule: R;
  said: Said[];
  /** Read these again first. */
  at: FlagAt<P>[];
}
