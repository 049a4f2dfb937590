import { type AxleInput, type PredictionFor } from '@/core/suspension/registry';
import { predictAxle } from '@/core/suspension/solvers';

/** What a prediction tells first: heights, ledger and fasteners, without the curve and the ends of the travel that come after and take longer. */
export function toldFirst<I extends AxleInput>(input: I): PredictionFor<I> {
  for (const told of predictAxle(input, false)) if (told) return told;
  throw new Error('nothing was predicted');
}
