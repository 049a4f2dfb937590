import { uniformFrom } from './random';

test('the first numbers of seeds are as evenly spread as later ones', () => {
  const means = [0, 1, 2, 3].map(
    (k) =>
      Array.from({ length: 2000 }, (_, seed) => {
        const uniform = uniformFrom(seed + 1);
        for (let skipped = 0; skipped < k; skipped += 1) uniform();
        return uniform();
      }).reduce((sum, u) => sum + u, 0) / 2000,
  );
  for (const mean of means) expect(Math.abs(mean - 0.5)).toBeLessThan(0.03);
});
