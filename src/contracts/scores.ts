import { thumbRise } from '@/core/followup/thumb';
import { type Proven } from './record';

/** How near the tape came to what was said, over some jobs. */
export interface Score {
  name: string;
  heights: number;
  /** Mean of what it was off by, whichever way, mm; and the mean with its sign, which says whether it leans. */
  off: number;
  lean: number;
  /** Share inside the bands, of which nine in ten should be. */
  inside: number;
  /** The same of guesses and of a rule of thumb; null without any. */
  guess: { heights: number; off: number } | null;
  thumb: { heights: number; off: number } | null;
}

/** @param name of the group @param rows one at least */
export function scoreOf(name: string, rows: readonly Proven[]): Score {
  const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const of = (offs: readonly number[]) =>
    offs.length === 0 ? null : { heights: offs.length, off: mean(offs.map(Math.abs)) };
  const guessed = rows.flatMap(({ guessOff }) => (guessOff === null ? [] : [guessOff]));
  const ruled = rows.flatMap(({ rose, thumb }) => {
    const rule = thumbRise(thumb);
    return rule === null || rose === null ? [] : [rose - rule];
  });
  return {
    ...{ name, heights: rows.length, off: mean(rows.map((r) => Math.abs(r.off))), lean: mean(rows.map((r) => r.off)) },
    inside: rows.filter((r) => r.inside).length / rows.length,
    ...{ guess: of(guessed), thumb: of(ruled) },
  };
}

/** Heights grouped by one or more names each, the largest group first. */
export function scores(rows: readonly Proven[], namesOf: (row: Proven) => readonly string[]): Score[] {
  const groups = new Map<string, Proven[]>();
  for (const row of rows)
    for (const name of new Set(namesOf(row))) groups.set(name, [...(groups.get(name) ?? []), row]);
  return [...groups]
    .map(([name, own]) => scoreOf(name, own))
    .toSorted((p, q) => q.heights - p.heights || (p.name < q.name ? -1 : 1));
}
