import { readingKey } from '@/contracts/readingKey';
import { type JobView } from '@/contracts/job';
import { POINTS, type PointId } from '@/core/measure/points';
import { type Wanting } from '@/core/suspension/kind';
import { type Point } from '@/core/sheet/point';
import { whose } from './fields';

/** Begins with a small letter, but leaves `U-bolt` alone. */
export const lowerFirst = (text: string): string =>
  text.startsWith('U-') ? text : text.slice(0, 1).toLowerCase() + text.slice(1);

/** A missing reading in words, and the anchor of its field. */
export function missingText(view: JobView, missing: Wanting<PointId>): { text: string; anchor: string } {
  const point: Point = POINTS[missing.point];
  const { leaf, side } = whose(view, missing);
  const stateId = point.loaded ? (view.states[0]?.id ?? null) : null;
  return {
    text: `${lowerFirst(point.label)}${leaf === null ? '' : ` of leaf ${leaf}`}${side ? `, ${side}` : ''}`,
    anchor: readingKey({ ...missing, phase: 'before', stateId }),
  };
}
