import { explain } from '@/core/followup/residual';
import { type Levers } from '@/core/prediction/levers';
import { attribute } from './residual';

test('200 jobs with one planted cause: in 17 of 20 it is among the first two named; without one, none stands out in 17 of 20', () => {
  const { by, jobs, two, none, right } = attribute(200);
  console.info('cause among the first two of', by, { jobs, two, none, right });
  expect(jobs).toBe(200);
  expect(two / jobs).toBeGreaterThanOrEqual(0.85);
  expect(right / none).toBeGreaterThanOrEqual(0.85);
}, 300_000);

const heights = [0, 1].flatMap((state) => (['left', 'right'] as const).map((side) => ({ side, state })));
const LEVERS: Levers = {
  heights,
  levers: [
    { path: 'states.1.extraMass', origin: 'assumed', value: 400, sd: 40, effect: [0, 0, -3, -3] },
    { path: 'changes.0.height', origin: 'measured', value: 50, sd: 0.5, effect: [0.5, 0.5, 0.5, 0.5] },
  ],
  unseen: [],
  before: { left: 1.2, right: 1.2 },
  after: 1.2,
  friction: [3, 3, 4, 4],
  rolled: 0.5,
  lift: [0, 0, -30, -30],
};
const OF = { settling: { value: -5, half90: 5 }, notHome: 1, states: 2 } as const;

test('two sides of an axle are alike: mirrored differences name the mirrored side', () => {
  const one = explain(LEVERS, [10, 0, 10, 0], OF);
  const other = explain(LEVERS, [0, 10, 0, 10], OF);
  expect(one.causes[0]!.side).toBe('left');
  expect(other.causes[0]!.side).toBe('right');
  expect(one.causes.map(({ share }) => share.toFixed(9))).toEqual(other.causes.map(({ share }) => share.toFixed(9)));
});

test('shares add up to one; heights as foretold ask for nothing; a heavier load is told in its own kilograms', () => {
  const calm = explain(LEVERS, [1, -1, 0, 1], OF);
  expect(calm).toMatchObject({ verdict: 'usual', tell: null });
  const heavy = explain(LEVERS, [0, 0, -14, -14], OF);
  expect(heavy.usual + heavy.unknown + heavy.causes.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
  expect(heavy.causes[0]).toMatchObject({ cause: 'load', path: 'states.1.extraMass' });
  // 14 mm at 3 mm for 40 kg would be 187; drawn towards nought by what is known of it.
  expect(heavy.causes[0]!.by).toBeGreaterThan(120);
  expect(heavy.causes[0]!.by).toBeLessThan(187);
  expect(heavy.tell?.telling).toBe('weigh');
});

test('what nothing on the list explains says look again', () => {
  expect(explain(LEVERS, [25, -22, -24, 21], OF).verdict).toBe('lookAgain');
  expect(() => explain(LEVERS, [1], OF)).toThrow('4 differences');
});
