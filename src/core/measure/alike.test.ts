import { pointOf } from './points';
import { carriedPoints } from './alike';

test('no height, load or other figure of the day goes along to another job, and a part the work touched goes to none on the same axle', () => {
  for (const to of ['sister', 'next'] as const)
    for (const left of [true, false])
      for (const point of carriedPoints(to, left)) {
        expect(pointOf(point).loaded).toBe(false);
        expect(['stance', 'square', 'road', 'check', 'bushes', 'lifting']).not.toContain(
          point === 'otherAxleRate' ? '' : pointOf(point).group,
        );
      }
  expect(carriedPoints('next', true).has('leafThickness')).toBe(true);
  expect(carriedPoints('next', false).has('leafThickness')).toBe(false);
  expect(carriedPoints('next', true).has('blockHeight')).toBe(false);
  expect(carriedPoints('sister', false).has('blockHeight')).toBe(true);
});
