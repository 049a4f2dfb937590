import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/**
 * Uniform numbers in [0, 1) from a stored seed; the same seed gives the same band anywhere. The generator fills its state with the seed
 * and its complement: whatever the seed, their sum, its first number, is the largest there is. It is dropped.
 */
export function uniformFrom(seed: number): () => number {
  const generator = xoroshiro128plus(seed);
  uniformFloat64(generator);
  return () => uniformFloat64(generator);
}
