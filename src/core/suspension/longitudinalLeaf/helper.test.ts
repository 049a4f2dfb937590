import { draw } from '../../estimate/tree';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { toldFirst } from '../../../../tests/reference/told';
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
