import { type PointId } from '@/core/measure/points';
import { type Contribution } from '@/core/prediction/sensitivity';
import { asItStands, worstTravel, type HubTravel } from '@/core/travel/hubTravel';
import { type Assumptions } from './assumptions';

/** A prediction of any kind, as far as its doubt goes. */
interface Solved {
  sides: Record<
    'left' | 'right',
    {
      states: readonly { firstOrder: number; contributions: readonly Contribution[] }[];
      travel?: HubTravel | null;
    } | null
  >;
}

/**
 * What nobody read, ranked by what it does to the height that is wanted. @param wanted index of the load state of the wish
 * @param pointOf the reading that would replace an input, by the input's path @param planned whether something is planned
 */
export function assumedOf(
  prediction: Solved | null,
  wanted: number,
  pointOf: Readonly<Record<string, PointId>>,
  planned: boolean,
): Assumptions | null {
  const shown = prediction?.sides.left ?? prediction?.sides.right;
  const state = shown?.states[wanted] ?? shown?.states[0];
  if (!prediction || !state || !planned) return null;
  const travel = worstTravel(prediction.sides);
  const half = state.firstOrder;
  return {
    ranked: state.contributions
      .filter((c) => c.origin === 'assumed' && c.effect > 0)
      .map(({ path, effect }) => {
        const point = pointOf[path] ?? null;
        const narrows = point ? half - Math.sqrt(Math.max(0, half * half - effect * effect)) : 0;
        return { path, point, effect, narrows };
      }),
    by: 'plan',
    trial: '',
    half,
    travel: travel && (planned ? travel : asItStands(travel)),
  };
}
