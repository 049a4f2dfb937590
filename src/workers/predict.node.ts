// Runs in a server worker thread: solves one prediction and its bands to the end.
import { parentPort, workerData } from 'node:worker_threads';
import { type AxleInput } from '@/core/height/axleInput';
import { finish } from '@/core/finish';
import { predictBands } from '@/core/height/band';
import { predictCentral } from '@/core/height/predict';
import { CoreError } from '@/core/errors';
import { uniformFrom } from './random';

const { input, seed, samples } = workerData as { input: AxleInput; seed: number; samples: number };
try {
  const prediction = finish(predictCentral(input));
  const bands = finish(predictBands(input, prediction, uniformFrom(seed), samples));
  parentPort?.postMessage({ prediction, bands });
} catch (error) {
  if (!(error instanceof CoreError)) throw error;
  parentPort?.postMessage({ refused: { field: error.field, reason: error.message } });
}
