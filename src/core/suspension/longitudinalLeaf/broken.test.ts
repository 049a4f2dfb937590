import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { assemble } from './assemble';
import { type Sheet } from './sheet';
import { predictAxle } from '../solvers';

/** The invented axle with leaf 3 of the left pack found broken 210 mm behind the pin, and nothing else planned. */
const broken = (changes: Sheet['changes'] = []): Sheet => ({
  ...flatbedSheet(changes),
  broken: [{ side: 'left', leafId: 'c', end: 'rear', at: 210 }],
});

test('a broken leaf goes into the solver of its own side, and making it good raises that side and lowers the other a little', () => {
  const { input } = assemble(broken());
  expect(input.sides.left.spring!.broken).toEqual({ leaf: 2, end: 'rear', at: 210 });
  expect(input.sides.right.spring!.broken).toBeUndefined();
  const { sides } = finish(predictAxle(input, false));
  const mend = (side: 'left' | 'right') => sides[side]!.states[0]!.ledger.find((l) => l.kind === 'mendLeaf')!.value;
  expect(mend('left')).toBeGreaterThan(3);
  expect(mend('left')).toBeLessThan(40);
  // Alone it would raise its own spring by the sum of both; the body turns about the other one.
  const spans = input.lipOverBase!.value;
  expect(mend('right')).toBeCloseTo(((1 - spans) / 2) * (mend('left') + mend('right')), 6);
  // The same arch and load with a leaf less to carry it: the free curve found is greater, and so is the mended rate.
  const [old, built] = [sides.left!.states[0]!.old!, sides.left!.states[0]!.built!];
  expect(built.rate).toBeGreaterThan(1.02 * old.rate);
});

test('with a block planned besides, each line stands alone and the ledger adds up', () => {
  const { input } = assemble(broken([{ kind: 'block', height: 30 }]));
  expect(input.changes.map((c) => c.kind)).toEqual(['mendLeaf', 'block']);
  const ledger = finish(predictAxle(input, false)).sides.left!.states[0]!.ledger;
  const value = (kind: string) => ledger.filter((l) => l.kind === kind).reduce((sum, l) => sum + l.value, 0);
  expect(value('block')).toBeCloseTo(30, 6);
  expect(value('together')).toBeCloseTo(0, 1);
  expect(value('measured') + value('mendLeaf') + value('block') + value('together')).toBeCloseTo(value('total'), 9);
});

test('a break far out costs less than one at the clamp', () => {
  const cost = (at: number) => {
    const { input } = assemble({ ...broken(), broken: [{ side: 'left', leafId: 'b', end: 'front', at }] });
    return finish(predictAxle(input, false)).sides.left!.states[0]!.change;
  };
  expect(cost(120)).toBeGreaterThan(cost(500));
  expect(cost(500)).toBeGreaterThan(0);
});

test.each<[string, Partial<Sheet>, RegExp]>([
  [
    'a broken main leaf, placed',
    { broken: [{ side: 'left', leafId: 'a', end: 'rear', at: 40 }] },
    /nothing locates the axle/,
  ],
  ['a broken main leaf, wherever', { brokenMain: ['left'] }, /nothing locates the axle/],
  ['a leaf nobody said which', { brokenUnplaced: ['left'] }, /which one and where/],
])(
  '%s is not solved as if it were whole: that side is refused with the reason, the other stands',
  (_, more, reason) => {
    const { input, refused } = assemble({ ...flatbedSheet(), ...more });
    expect(refused).toEqual([{ side: 'left', reason: expect.stringMatching(reason) as string }]);
    expect(input.changes.some((c) => c.kind === 'mendLeaf')).toBe(false);
    const { sides } = finish(predictAxle(input, false));
    expect(sides.left).toBeNull();
    expect(sides.right!.states[0]!.ledger.at(-1)).toBeDefined();
  },
);
