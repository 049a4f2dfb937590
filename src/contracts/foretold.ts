import { type AxleView } from './job';
import { type PredictionRow } from './prediction';

/** The prediction that the work stands on: the one of its build, else the newest. */
export const foretoldOf = (view: AxleView): PredictionRow | undefined =>
  view.build ? view.predictions.find((p) => p.id === view.build?.predictionId) : view.predictions[0];
