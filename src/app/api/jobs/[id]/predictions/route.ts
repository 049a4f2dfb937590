import { newPredictionSchema } from '@/contracts/prediction';
import { idRouteOutside } from '@/server/http';
import { storePrediction } from '@/server/predictions';

export const POST = idRouteOutside('note', newPredictionSchema, (inTx, id, body, asker) =>
  storePrediction(inTx, id, body, asker),
);
