import { type LeafReading } from './sheet';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { draw, estimatesOf } from '../../estimate/tree';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { rankAssumptions, trialLeaf } from './narrowing';

/** The invented axle with shackle, tube and eyes not read. */
const bare = () => {
  const sheet = flatbedSheet();
  const unread = ['shackleLength', 'shackleAngle', 'tubeDiameter', 'eyeBore', 'perchHeight'];
  return { ...sheet, readings: sheet.readings.filter((r) => !unread.includes(r.point)) };
};

test('assumed values are ranked as one-at-a-time solves rank them', () => {
  const { input } = assemble(bare());
  const state = finish(predictAxle(input)).sides.left!.states[0]!;
  const ranked = rankAssumptions(input, state.contributions, state.firstOrder);
  // Each assumed input moved by its own half-width alone, on the full mesh, everything solved anew.
  const height = (moved?: string) => {
    const shifted = draw(input, (e, path) => (path === moved ? e.value + e.half90 : e.value));
    const back = structuredClone(input);
    for (const { path, estimate } of estimatesOf(back)) {
      const value = path.split('.').reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], shifted);
      estimate.value = value as number;
    }
    return finish(predictAxle(back, false)).sides.left!.states[0]!.after!;
  };
  const middle = height();
  const solved = estimatesOf(input)
    .filter(
      ({ path, estimate }) =>
        estimate.origin === 'assumed' && estimate.half90 > 0 && path !== 'tyreRate' && !path.startsWith('sides.right'),
    )
    .map(({ path }) => ({ path, effect: Math.abs(height(path) - middle) }));
  expect(ranked.length).toBeGreaterThan(5);
  for (const { path, effect } of ranked) expect(effect).toBeCloseTo(solved.find((s) => s.path === path)!.effect, 0.7);
  const order = (list: { path: string; effect: number }[]) =>
    list
      .filter((s) => s.effect > 0.3)
      .toSorted((p, q) => q.effect - p.effect)
      .map((s) => s.path);
  expect(order(ranked)).toEqual(order(solved));
});

test('what a reading takes off the band is what reading it does', () => {
  const sheet = bare();
  const { input } = assemble(sheet);
  const half = (of: typeof input) => finish(predictAxle(of)).sides.left!.states[0]!;
  const before = half(input);
  const told = rankAssumptions(input, before.contributions, before.firstOrder).filter(
    (a) => a.point === 'shackleAngle' || a.point === 'shackleLength',
  );
  expect(told).toHaveLength(2);
  for (const { point, narrows } of told) {
    const loaded = point === 'shackleAngle';
    const row: LeafReading = {
      point: point!,
      phase: 'before',
      side: null,
      leafId: null,
      stateId: loaded ? 'today' : null,
      rolled: null,
      value: loaded ? input.shackle!.angle.value : input.shackle!.length.value,
    };
    const after = half(assemble({ ...sheet, readings: [...sheet.readings, row] }).input);
    expect(before.firstOrder - after.firstOrder).toBeCloseTo(narrows, 2);
  }
  expect(Math.max(...told.map((a) => a.narrows))).toBeGreaterThan(0.02);
});

test('without a plan a leaf like the second one is tried, and only once the pack is measured', () => {
  expect(trialLeaf(flatbedSheet())).toMatchObject({
    kind: 'addLeaf',
    thickness: 8,
    front: expect.closeTo(574.3, 1) as number,
  });
  expect(trialLeaf({ ...flatbedSheet(), readings: [] })).toBeUndefined();
});
