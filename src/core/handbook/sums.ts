import { AXLE_SUMS } from './axle';
import { BOLT_SUMS } from './bolts';
import { HOLE_SUMS } from './holes';
import { JOB_SUMS } from './job';
import { LEAF_SUMS } from './leaves';
import { SPRING_SUMS } from './springs';
import { type Sum } from './sum';
import { TRAVEL_SUMS } from './travel';
import { UBOLT_SUMS } from './ubolts';
import { WHEEL_SUMS } from './wheels';

/** Every sum of the handbook, in the order they are listed. */
export const SUMS: readonly Sum[] = [
  ...[BOLT_SUMS, UBOLT_SUMS, HOLE_SUMS, LEAF_SUMS, SPRING_SUMS, TRAVEL_SUMS, AXLE_SUMS, WHEEL_SUMS, JOB_SUMS].flat(),
];

/** Sums that every word of a search is found in, by title, group or the words people use for it. An empty search finds all. */
export function findSums(search: string): Sum[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return SUMS.filter((sum) => {
    const text = `${sum.title} ${sum.group} ${sum.words}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
