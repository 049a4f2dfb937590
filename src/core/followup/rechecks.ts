import { type JointId } from '../fastener/joints';

/** A check that falls due by distance or by day after the work, whichever comes first. */
export interface Recheck {
  what: string;
  /** What is read of it: the wrench's figure at every bolt, heights at the points of before, or a look. */
  reads: 'torque' | 'heights' | 'look';
  afterKm: number;
  inDays: number;
}

/** Of which joints a check is, and when. Common practice: about 500 mi and 1,000 mi; wheel nuts after the first drive. */
const OF_JOINTS: readonly (Recheck & { joints: readonly JointId[] })[] = [
  {
    joints: ['wheelNuts'],
    ...{ what: 'Wheel nuts: torque again', reads: 'torque', afterKm: 80, inDays: 3 },
  },
  {
    joints: ['uBolts', 'pairUBolts'],
    ...{ what: 'U-bolts: torque again', reads: 'torque', afterKm: 800, inDays: 14 },
  },
  {
    joints: ['centreBolt', 'pairCentreBolt'],
    ...{ what: 'Pack: clip bolts and centre bolt, a look at each leaf', reads: 'look', afterKm: 800, inDays: 14 },
  },
  {
    joints: ['armFrame', 'armAxle', 'trackRod', 'rockerPivot'],
    ...{ what: 'Arms, rod and their jam nuts: torque again', reads: 'torque', afterKm: 800, inDays: 14 },
  },
  {
    joints: ['frontEye', 'shackleFrame', 'shackleEye', 'pairHangerEye', 'rockerShackle', 'coilRetainer'],
    ...{ what: 'Pivots and bushes: a look, nuts tight', reads: 'look', afterKm: 800, inDays: 14 },
  },
];
const SECOND: Recheck & { joints: readonly JointId[] } = {
  joints: ['uBolts', 'pairUBolts'],
  ...{ what: 'U-bolts: second check, heights after settling', reads: 'heights', afterKm: 1600, inDays: 42 },
};
const HEIGHTS: Recheck = { what: 'Heights after settling', reads: 'heights', afterKm: 1600, inDays: 42 };

/**
 * What is looked at again after a work on these joints, in the order in which it falls due.
 * @param touched joints that were undone @param second km of the second check, where the shop's or the maker's word differs
 */
export function rechecksOf(touched: readonly JointId[], second: number = SECOND.afterKm): Recheck[] {
  const has = ({ joints }: { joints: readonly JointId[] }) => joints.some((j) => touched.includes(j));
  const own = OF_JOINTS.filter(has).map(({ joints: _, ...check }): Recheck => check);
  const days = Math.round((SECOND.inDays * second) / SECOND.afterKm);
  const { joints: _, ...later } = SECOND;
  return [...own, { ...(has(SECOND) ? later : HEIGHTS), afterKm: second, inDays: days }].toSorted(
    (p, q) => p.afterKm - q.afterKm,
  );
}
