import { readingKey } from '@/contracts/reading';
import { type JobView } from '@/contracts/job';
import { type Missing } from '@/core/suspension/longitudinalLeaf/assemble';
import { POINTS } from '@/core/measure/points';
import { type Point } from '@/core/sheet/point';

/** Begins with a small letter, but leaves `U-bolt` alone. */
export const lowerFirst = (text: string): string =>
  text.startsWith('U-') ? text : text.slice(0, 1).toLowerCase() + text.slice(1);

/** A missing reading in words, and the anchor of its field. */
export function missingText(view: JobView, missing: Missing): { text: string; anchor: string } {
  const point: Point = POINTS[missing.point];
  const leaf = view.leaves.findIndex((l) => l.id === missing.leafId);
  const stateId = point.loaded ? (view.states[0]?.id ?? null) : null;
  return {
    text: `${lowerFirst(point.label)}${leaf >= 0 ? ` of leaf ${leaf + 1}` : ''}${missing.side && point.sided ? `, ${missing.side}` : ''}`,
    anchor: readingKey({ ...missing, phase: 'before', stateId }),
  };
}
