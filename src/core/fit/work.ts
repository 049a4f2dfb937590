import { standingOf, type AxlePrediction } from '../suspension/registry';
import { worstTravel } from '../travel/hubTravel';
import { type SolvedFacts } from './mustFit';

/** What a prediction says of what must fit, whatever carries the axle. */
export function factsOf(prediction: AxlePrediction): SolvedFacts {
  const { own, noseUp } = standingOf(prediction);
  const rate = (prediction.sides.left ?? prediction.sides.right)?.states[0]?.built?.rate;
  return {
    ...{ travel: worstTravel(prediction.sides), own },
    ...(noseUp !== undefined && { noseUp }),
    ...(rate !== undefined && { rate }),
  };
}
