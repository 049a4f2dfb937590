import { type JobView } from '@/contracts/job';
import { pointOf, type PointId } from '@/core/measure/points';
import { type Assumptions } from './assumptions';
import { type FieldAt } from './fields';

/** Most readings that are named. */
const NAMED = 3;
/** Less than this a reading is not worth walking to, mm. */
const WORTH = 0.1;

/** The field of the sheet that an assumed input would be read in. */
export const fieldOfInput = (view: JobView, path: string, point: PointId): FieldAt => ({
  point,
  side: pointOf(point).sided ? (path.includes('.right.') ? 'right' : 'left') : null,
  leafId: null,
  stateId: pointOf(point).loaded ? (view.states[0]?.id ?? null) : null,
});

/**
 * The readings that would narrow the band most, and the half-width left when all of them are taken: what each takes off the square
 * of the half-width is taken off together, as independent errors add.
 */
export function afterReading(view: JobView, { ranked, half }: Pick<Assumptions, 'ranked' | 'half'>) {
  const places = ranked
    .flatMap(({ path, point, narrows }) =>
      point && narrows >= WORTH && !pointOf(point).perLeaf
        ? [{ at: fieldOfInput(view, path, point), narrows, half: Math.max(0, half - narrows) }]
        : [],
    )
    .toSorted((p, q) => q.narrows - p.narrows)
    .slice(0, NAMED);
  const left = places.reduce((square, place) => square - (half ** 2 - place.half ** 2), half ** 2);
  return { places, half: Math.sqrt(Math.max(0, left)) };
}
