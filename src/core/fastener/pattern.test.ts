import { boltsOf, isOf, notFinal } from './joints';
import { patternsOf } from './pattern';
import { roundOf } from './rounds';
import { setTo, torquePlace } from './torqueRead';

const SETS = [
  ['uBolts', 'left', 1],
  ['pairUBolts', 'right', 2],
  ['crossClamp', null, 1],
  ['shearBolts', 'left', 2],
] as const;

test.each(SETS)(
  '%s, %s: every nut of a set is one of the joint, and each lies across from the last',
  (joint, side, sets) => {
    const patterns = patternsOf(joint, side);
    expect(patterns).toHaveLength(sets);
    for (const { bolts } of patterns) {
      for (const { bolt } of bolts) expect(boltsOf(joint)).toContain(bolt);
      expect(new Set(bolts.map((b) => `${b.x} ${b.y}`)).size).toBe(4);
      // The second lies across from the first, the fourth from the third.
      for (const [p, q] of [
        [0, 1],
        [2, 3],
      ] as const)
        expect([bolts[q]!.x, bolts[q]!.y]).toEqual([-bolts[p]!.x, -bolts[p]!.y]);
      expect(roundOf(90e3, [30e3, 30e3, 30e3, null])).toMatchObject({ round: 1, next: 3 });
    }
  },
);

test('a joint that is read in one go has no set, and a pair’s U-bolt read as one by an earlier release still counts for both its legs', () => {
  expect(patternsOf('wheelNuts', 'left')).toEqual([]);
  expect(isOf('left, rear axle, front inner leg', 'left, rear axle, front bolt')).toBe(true);
  expect(isOf('left, rear axle, rear inner leg', 'left, rear axle, front bolt')).toBe(false);
  const old = ['left', 'right'].flatMap((side) =>
    ['front', 'rear'].flatMap((axle) =>
      ['front', 'rear'].map((bolt) => ({ bolt: `${side}, ${axle} axle, ${bolt} bolt` })),
    ),
  );
  expect(notFinal('pairUBolts', { value: 1, source: 'maker' }, old)).toBeNull();
  expect(notFinal('pairUBolts', { value: 1, source: 'maker' }, old.slice(1))).toContain('front outer leg');
});

test('a locking nut’s running torque is set on top of the figure, and a reading is judged by both', () => {
  const target = { value: 90e3, unit: 'N·m' as const, range: { low: 85e3, high: 95e3 } };
  expect(setTo(target, 12e3)).toEqual({ value: 102e3, unit: 'N·m', range: { low: 97e3, high: 107e3 } });
  expect(setTo(target, null)).toEqual(target);
  const read = { value: 90e3, unit: 'N·m' as const };
  expect(torquePlace(read, target).look).toBe(false);
  expect(torquePlace(read, setTo(target, 12e3)).text).toContain('under the least');
});
