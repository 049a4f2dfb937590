import { CoreError, requireNumber } from '../errors';
import { type VerdictState } from '../verdict';

/** Parts of an axle that each may carry only so much. */
export const RATED_PARTS = ['plate', 'axle', 'tyres', 'wheels', 'hangers', 'springs'] as const;
export type RatedPart = (typeof RATED_PARTS)[number];
/** Without these a rating is not complete: any of them may be the weakest. */
export const NEEDED_RATINGS: readonly RatedPart[] = ['plate', 'axle', 'tyres', 'wheels', 'hangers'];

export interface Rating {
  part: RatedPart;
  /** kg on the axle as a whole. */
  rating: number;
}

export interface RatingAnswer {
  /** Lowest of what is known, kg. */
  lowest: Rating | null;
  /** Parts nobody has looked up. */
  missing: RatedPart[];
  state: VerdictState;
  /** Lowest rating less the load, kg; negative when over. */
  spare: number | null;
}

/**
 * Whether an axle may carry a load: the weakest of plate, axle, tyres, wheels and hangers counts. A known part that is over
 * decides at once; within is said only when every needed part is known. A stiffer spring raises none of them.
 * @param load kg on the axle, 0–50,000 @throws CoreError for a rating of no weight
 */
export function ratingGuard(load: number, ratings: readonly Rating[]): RatingAnswer {
  requireNumber('load', load, 0, 50_000);
  for (const { part, rating } of ratings)
    if (!(rating > 0)) throw new CoreError('bad-input', part, 'a rating is more than nothing');
  const lowest = ratings.toSorted((p, q) => p.rating - q.rating)[0] ?? null;
  const missing = NEEDED_RATINGS.filter((part) => !ratings.some((r) => r.part === part));
  const over = lowest !== null && load > lowest.rating;
  const state = over ? 'does not fit' : missing.length > 0 ? 'not checked' : 'fits';
  return { lowest, missing, state, spare: lowest && lowest.rating - load };
}

/** Whether a kit made for axles of a range of ratings suits this one; both ends belong to the range. kg. */
export const kitSuits = (axleRating: number, least: number, most: number): boolean =>
  axleRating >= least && axleRating <= most;
