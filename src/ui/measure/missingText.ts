import { readingKey, type JobView } from '@/contracts/job';
import { type Missing } from '@/core/measure/assemble';
import { POINTS, type Point } from '@/core/measure/points';

/** A missing reading in words, and the anchor of its field. */
export function missingText(view: JobView, missing: Missing): { text: string; anchor: string } {
  const point: Point = POINTS[missing.point];
  const leaf = view.leaves.findIndex((l) => l.id === missing.leafId);
  const stateId = point.loaded ? (view.states[0]?.id ?? null) : null;
  return {
    text: `${point.label.toLowerCase()}${leaf >= 0 ? ` of leaf ${leaf + 1}` : ''}${missing.side && point.sided ? `, ${missing.side}` : ''}`,
    anchor: readingKey({ ...missing, phase: 'before', stateId }),
  };
}
