// Runs in a server worker thread: solves one prediction and its bands to the end.
import { parentPort, workerData } from 'node:worker_threads';
import { type AxleInput, bandsOfAxle, predictAxle } from '@/core/suspension/registry';
import { finish } from '@/core/finish';
import { CoreError } from '@/core/errors';
import { uniformFrom } from './random';

const { input, seed, samples } = workerData as { input: AxleInput; seed: number; samples: number };
try {
  // Without a draw only the middle answer is wanted.
  const prediction = finish(predictAxle(input, samples > 0));
  const bands =
    samples > 0 ? finish(bandsOfAxle(input, prediction, uniformFrom(seed), samples)) : { left: null, right: null };
  parentPort?.postMessage({ prediction, bands });
} catch (error) {
  if (error instanceof CoreError) parentPort?.postMessage({ refused: { field: error.field, reason: error.message } });
  else parentPort?.postMessage({ fault: error instanceof Error ? (error.stack ?? error.message) : String(error) });
}
