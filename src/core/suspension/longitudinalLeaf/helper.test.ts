import { draw } from '../../estimate/tree';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { toldFirst } from '../../../../tests/reference/told';
import { changesOf } from '../../selection/changesOf';
import { type Candidate } from '../../selection/generate';
import { assemble } from './assemble';
import { leafChecks, leafStanding } from './checks';
import { LeafSideModel } from './sideModel';
import { type PlannedChange } from './sheet';

const helper = (gap: number, carries: number[], stroke = 80): PlannedChange => ({
  ...{ kind: 'helper', device: 'rubber', gap, stroke, carries, source: 'measured' },
});
const input = (...changes: PlannedChange[]) => assemble(flatbedSheet(changes)).input;
const model = (of: ReturnType<typeof input>) => {
  const drawn = draw(of, (e) => e.value);
  return { drawn, model: new LeafSideModel(drawn, 'left') };
};

test('a helper that hangs clear changes nothing; one that touches shares by both rates, and the frame comes down less', () => {
  const { drawn, model: side } = model(input(helper(20, [0, 60, 160, 340, 720])));
  const extra = drawn.states[1]!.extraMass * 4.903325;
  expect(side.rise(drawn.changes, 0)).toBe(side.rise([], 0));
  const [alone, both] = [side.state([], extra), side.state(drawn.changes, extra)];
  const clear = side.rise([], 0) - 20;
  expect(alone.rise).toBeLessThan(clear);
  expect(both.rise).toBeGreaterThan(alone.rise);
  // Where both stand at one height, each carries its own part: the pack alone under that part stands as high.
  expect(both.helper!.pressed).toBeCloseTo(clear - both.rise, 6);
  const packLoad = side.state([], 0).spring!.load + extra - both.helper!.force;
  expect(side.rise([], packLoad - side.state([], 0).spring!.load)).toBeCloseTo(both.rise, 1);
  const figures = side.figures(drawn.changes, extra, false)!;
  expect(figures.load).toBeCloseTo(side.state([], 0).spring!.load + extra, 0);
  // Beside one another their rates add: a difference of loads says the same.
  const moved = side.rise(drawn.changes, extra - 60) - side.rise(drawn.changes, extra + 60);
  expect(120 / moved / figures.rate).toBeGreaterThan(0.9);
  expect(120 / moved / figures.rate).toBeLessThan(1.1);
  expect(figures.frictionHeight).toBeLessThan(side.figures([], extra, false)!.frictionHeight);
});

test('in the ledger it is a line of its own in the state where it works; checks tell its stroke, and no rating is raised', () => {
  const told = toldFirst(input(helper(20, [0, 60, 160, 340, 720])));
  const lines = told.sides.left!.states.map((s) => s.ledger.find((l) => l.kind === 'helper')?.value ?? 0);
  expect(lines[0]).toBeCloseTo(0, 6);
  expect(told.sides.left!.states[1]!.after!).toBeGreaterThan(told.sides.left!.states[1]!.beforeHere! + 1);
  const row = (...changes: PlannedChange[]) => {
    const { drawn, model: side } = model(input(...changes));
    const states = drawn.states.map((s, k) => ({
      ...{ side: 'left' as const, today: k === 0, old: null },
      built: side.figures(drawn.changes, s.extraMass * 4.903325, false),
    }));
    return leafChecks({ otherLeaves: false, threadsRead: false, helper: 'rubber' }, leafStanding(states, null)).find(
      (r) => r.item === 'helper',
    )!;
  };
  expect(row(helper(20, [0, 60, 160, 340, 720]))).toMatchObject({
    state: 'look',
    text: expect.stringContaining('raises no rating'),
  });
  expect(row(helper(250, [0, 60, 160, 340, 720])).text).toContain('only meets bumps');
  expect(row(helper(0, [0, 5, 10, 15, 20], 10))).toMatchObject({ state: 'does not fit' });
  expect(leafChecks({ otherLeaves: false, threadsRead: false, helper: 'air' }, null).at(-1)!.state).toBe('not checked');
});

test('a helper that was there carried its part of today’s load: the pack is told by the rest, and gets the whole when it comes off', () => {
  const carries = [0, 60, 160, 340, 720];
  const stays = model(input({ ...helper(-30, carries), fitted: 'stays' } as PlannedChange));
  const off = model(input({ ...helper(-30, carries), fitted: 'off' } as PlannedChange));
  const plain = input();
  // By hand: 30 of 80 mm lie between a quarter and half of the stroke; what it carries there is read at the bench of the curve.
  const carried = stays.model.state([], 0).helper!.force;
  expect(carried / 9.80665).toBeGreaterThan(60);
  expect(carried / 9.80665).toBeLessThan(160);
  expect(stays.model.state([], 0).helper!.pressed).toBeCloseTo(30, 1);
  // The same pack as one that was read with the rest of the load alone.
  const load = plain.sides.left.spring!.load;
  const rest = { ...plain.sides.left.spring!, load: { ...load, value: load.value - carried } };
  const alone = model({ ...plain, sides: { ...plain.sides, left: { ...plain.sides.left, spring: rest } } }).model;
  expect(stays.model.rise([], 0)).toBeCloseTo(alone.rise([], 0), 1);
  expect(off.model.rise(off.drawn.changes, 0)).toBeCloseTo(alone.rise([], carried), 1);
  expect(off.model.rise(off.drawn.changes, 0)).toBeLessThan(off.model.rise([], 0) - 1);
  // Staying it changes nothing, in the ledger neither; a load more it shares as a new one would that was fitted so pressed.
  const told = toldFirst(input({ ...helper(-30, carries), fitted: 'stays' } as PlannedChange));
  expect(told.sides.left!.states[0]!.ledger.map((l) => l.kind)).not.toContain('helper');
  expect(stays.model.rise(stays.drawn.changes, 0)).toBe(stays.model.rise([], 0));
  expect(stays.model.rise([], 800)).toBeGreaterThan(alone.rise([], carried + 800) + 1);
  expect(() =>
    model(input({ ...helper(-80, [0, 2000, 4000, 8000, 20_000]), fitted: 'stays' } as PlannedChange)),
  ).toThrow('whole load');
});

test('a way that the search makes up keeps the helper that was there; a plan that names it has it once', () => {
  const there = input({ ...helper(-30, [0, 60, 160, 340, 720]), fitted: 'stays' } as PlannedChange);
  const block = input({ kind: 'block', height: 20 }).changes;
  const way = (changes: Candidate['changes']) => changesOf(there, { changes } as Candidate).map((c) => c.kind);
  expect(way(block)).toEqual(['helper', 'block']);
  expect(way([...there.changes, ...block])).toEqual(['helper', 'block']);
});
