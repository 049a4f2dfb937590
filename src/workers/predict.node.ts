// Runs in a server worker thread: solves one prediction and its bands to the end, or what moves the heights that were read. Any other error is the pool's to tell.
import { CoreError } from '@/core/errors';
import { finish } from '@/core/finish';
import { type HeightAt } from '@/core/prediction/levers';
import { type AxleInput } from '@/core/suspension/registry';
import { bandsOfAxle, leversOfAxle, predictAxle } from '@/core/suspension/solvers';
import { uniformFrom } from './random';

export default function solve(
  asked: { input: AxleInput; seed: number; samples: number } | { input: AxleInput; heights: HeightAt[] },
) {
  try {
    if ('heights' in asked) return { answer: finish(leversOfAxle(asked.input, asked.heights)) };
    const { input, seed, samples } = asked;
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
