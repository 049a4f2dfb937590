import { type Dimension } from './units/units';

/**
 * How it stands with one thing, in the one vocabulary of the house. `look`: it may be right, a person decides. `stop`: not to be
 * driven, towed or gone on with. What nobody checked is never shown as fitting.
 */
export type VerdictState = 'fits' | 'look' | 'does not fit' | 'stop' | 'not checked';

/** The figure that a verdict hangs on, core units. */
export interface VerdictFigure {
  quantity: string;
  dimension: Dimension;
  value: number;
  limit: number;
  /** What is left to the limit; negative past it. */
  margin: number;
}

export interface Verdict<I extends string = string> {
  item: I;
  state: VerdictState;
  /** What is so, and what to do about it; empty where a person's answer says it all. */
  text: string;
  figure?: VerdictFigure;
  /** Where the limit comes from. */
  source?: string;
}

/** From the worst to the best. */
const RANK: Record<VerdictState, number> = { stop: 0, 'does not fit': 1, 'not checked': 2, look: 3, fits: 4 };
export const worstFirst = (p: Pick<Verdict, 'state'>, q: Pick<Verdict, 'state'>): number =>
  RANK[p.state] - RANK[q.state];

/** Good only when nothing is open. */
export const allFit = (rows: readonly Pick<Verdict, 'state'>[]): boolean => rows.every((row) => row.state === 'fits');
