import { forceOverTravel } from './forceOverTravel';

test('heights over loads become loads over travel: today’s height is the datum, more load stands higher in its arch', () => {
  const curve = [
    { load: 2000, old: 520, built: 560 },
    { load: 4000, old: 480, built: 525 },
    { load: 6000, old: 445, built: 492 },
  ];
  const { was, will } = forceOverTravel(curve, 480);
  expect(was).toEqual([
    { at: 40, load: 2000 },
    { at: 0, load: 4000 },
    { at: -35, load: 6000 },
  ]);
  expect(will.map((p) => p.at)).toEqual([80, 45, 12]);
});
