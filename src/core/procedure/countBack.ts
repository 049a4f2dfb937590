import { requireNumber } from '../errors';

/** Something that must be done with before the work begins. */
export interface Wait {
  id: string;
  /** Days it takes, 0 for not wanted. */
  days: number;
  /** What it waits for itself. */
  after?: string;
}

export interface CountedBack {
  id: string;
  /** Days before the work by which it must begin at the latest, and how many it could begin later than the longest chain asks. */
  begins: number;
  spare: number;
}

/** Longest chain of waits, in days, and for each when it begins at the latest. @throws CoreError on a circle */
export function countBack(waits: readonly Wait[]): { longest: number; each: CountedBack[]; chain: string[] } {
  const by = new Map(waits.map((w) => [w.id, w]));
  const behind = (id: string): Wait[] => waits.filter((w) => w.after === id);
  const latest = (wait: Wait, depth = 0): number => {
    requireNumber('days', wait.days, 0, 400);
    requireNumber('chain of waits', depth, 0, waits.length);
    return wait.days + Math.max(0, ...behind(wait.id).map((w) => latest(w, depth + 1)));
  };
  const earliest = (wait: Wait): number => (wait.after ? earliest(by.get(wait.after)!) + by.get(wait.after)!.days : 0);
  const longest = Math.max(0, ...waits.map((w) => latest(w)));
  const each = waits
    .filter((w) => w.days > 0)
    .map((w) => ({ id: w.id, begins: latest(w), spare: longest - earliest(w) - latest(w) }))
    .toSorted((p, q) => q.begins - p.begins);
  return { longest, each, chain: each.filter((w) => w.spare === 0).map((w) => w.id) };
}
