import { type Leaf } from '../mechanics/leafpack/pack';
import { type SumInput } from './sum';

/** Leaves in steps, all of one thickness: what a sum can ask for. */
export function steppedPack(given: SumInput, count: number): Leaf[] {
  const [front, rear] = [given.number('front'), given.number('rear')];
  const full = Math.min(given.number('full'), count);
  return Array.from({ length: count }, (_, k) => {
    const share = k < full ? 1 : 1 - (k - full + 1) / (count - full + 1);
    return {
      ...{
        front: front * share,
        rear: rear * share,
        width: given.number('width'),
        thickness: given.number('thickness'),
      },
      curvature: 0,
    } as Leaf;
  });
}
