// Runs in a server worker thread: solves one prediction and its bands to the end. Any other error is the pool's to tell.
import { CoreError } from '@/core/errors';
import { finish } from '@/core/finish';
import { bandsOfAxle, predictAxle, type AxleInput } from '@/core/suspension/registry';
import { uniformFrom } from './random';

export default function solve({ input, seed, samples }: { input: AxleInput; seed: number; samples: number }) {
  try {
    // Without a draw only the middle answer is wanted.
    const prediction = finish(predictAxle(input, samples > 0));
    const bands =
      samples > 0 ? finish(bandsOfAxle(input, prediction, uniformFrom(seed), samples)) : { left: null, right: null };
    return { answer: { prediction, bands } };
  } catch (error) {
    if (error instanceof CoreError) return { refused: { field: error.field, reason: error.message } };
    throw error;
  }
}
