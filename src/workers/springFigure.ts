import { type SpringAnswer, type SpringView } from '@/core/suspension/longitudinalLeaf/underLoad';

/** A spring's view packed for a fast way from the worker to the drawing: every other point, in flat arrays. */
export interface SpringFigure extends Omit<SpringView, 'leaves' | 'stress'> {
  /** Coordinates x, y, x, y … of each leaf's middle line, mm. */
  leaves: { thickness: number; line: Float32Array }[];
  /** Place along the leaf (mm from the pin) and stress (MPa), s, σ, s, σ … */
  stress: Float32Array[];
}
export type SpringReplyFigure = SpringFigure | { load: number; refused: string };

/** Keeps every other entry, both ends, and where `must` holds: a tenth of a pixel off, and half as much to draw. */
const thinned = (count: number, must: (k: number) => boolean): number[] =>
  Array.from({ length: count }, (_, k) => k).filter((k) => k % 2 === 0 || k === count - 1 || must(k));

export function packed(answer: SpringAnswer): SpringReplyFigure {
  if ('refused' in answer) return answer;
  return {
    ...answer,
    leaves: answer.leaves.map(({ thickness, points }) => ({
      thickness,
      line: Float32Array.from(thinned(points.length, () => false).flatMap((k) => [points[k]!.x, points[k]!.y])),
    })),
    stress: answer.stress.map(({ s, stress }, leaf) =>
      // The peak and the steps at the clamp's edge stay where they are.
      Float32Array.from(
        thinned(s.length, (k) => s[k] === answer.budget[leaf]!.at || s[k] === s[k - 1] || s[k] === s[k + 1]).flatMap(
          (k) => [s[k]!, stress[k]!],
        ),
      ),
    ),
  };
}
