import { flatbedSheet } from '../../../tests/reference/sheets';
import { finish } from '../finish';
import { lifeWithin } from '../suspension/longitudinalLeaf/life';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { LONGITUDINAL_LEAF } from '../suspension/longitudinalLeaf/kind';
import { type LeafPrediction } from '../suspension/longitudinalLeaf/onPage';
import { draw } from '../estimate/tree';
import { normal, Z90 } from '../estimate/estimate';
import { uniformFrom } from '@/workers/random';
import { predictAxle } from '../suspension/solvers';
import { predictBands } from './band';

const LIVES = [
  { share: 0.9, least: 6e5, most: 1e7 },
  { share: 1, least: 2e5, most: 9e6 },
  { share: 1.1, least: 1e5, most: 3e6 },
];

test('the band of the highest stress is that of variants solved one by one, and life is told over it', () => {
  const { input } = assemble(flatbedSheet());
  const prediction = finish(predictAxle(input)) as LeafPrediction;
  const [band] = finish(predictBands(LONGITUDINAL_LEAF, input, prediction, uniformFrom(3), 20_000)).left!;
  const built = prediction.sides.left!.states[0]!.built!;
  const { low, high } = band!.stress!;
  expect(low).toBeLessThan(built.highestStress!);
  expect(high).toBeGreaterThan(built.highestStress!);

  // The plain way: every reading drawn anew, every variant solved.
  const uniform = uniformFrom(11);
  const found = Array.from({ length: 160 }, () => {
    const drawn = draw(input, (e, path) => {
      const value = e.value + (e.half90 / Z90) * normal(uniform);
      return LONGITUDINAL_LEAF.signed.test(path) ? value : Math.max(0, value);
    });
    return LONGITUDINAL_LEAF.model(drawn, 'left', 'sample').peakStress!(drawn.changes, 0);
  }).sort((p, q) => p - q);
  const scatter = high - low;
  expect(Math.abs(low - found[8]!)).toBeLessThan(0.3 * scatter);
  expect(Math.abs(high - found[151]!)).toBeLessThan(0.3 * scatter);

  const stressed = { ...built, highestStress: 800, life: { leaf: 1, least: 2e5, most: 9e6 }, lifeBy: LIVES };
  expect(lifeWithin(stressed, { low: 800, high: 800 })).toEqual({ least: 2e5, most: 9e6 });
  const life = lifeWithin(stressed, { low: 720, high: 840 })!;
  // Half-way between two shares, by the logarithm.
  expect(life.least).toBeCloseTo(Math.sqrt(2e5 * 1e5), -1);
  expect(life.most).toBe(1e7);
  expect(built.lifeBy!.find((l) => l.share === 1)).toEqual({
    share: 1,
    least: built.life!.least,
    most: built.life!.most,
  });
});
