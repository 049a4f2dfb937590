import { type Side } from './side';

/**
 * What a body does when its two springs change, each by itself at the load it carries: it moves as one rigid piece, so that the difference
 * between the springs shows at the arch lips times lip span over spring base, and work on one side alone lowers the other a little.
 * @param changes of the height over each spring, mm @param lipOverBase lip span over spring base, 0.5 to 4
 */
export function atLips({ left, right }: Record<Side, number>, lipOverBase: number): Record<Side, number> {
  const middle = (left + right) / 2;
  const aside = (lipOverBase * (left - right)) / 2;
  return { left: middle + aside, right: middle - aside };
}
