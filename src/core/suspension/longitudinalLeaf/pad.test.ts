import { flatbedSheet } from '../../../../tests/reference/sheets';
import { draw } from '../../estimate/tree';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { type LeafAxleInput } from './input';
import { type PlannedChange, type Sheet } from './sheet';
import { LeafSideModel } from './sideModel';
import { sideRate } from './sideState';

const onPad = (changes: readonly PlannedChange[] = []): Sheet => {
  const sheet = flatbedSheet(changes);
  return { ...sheet, pack: { ...sheet.pack, rearEnd: 'pad' } };
};
const modelOf = (input: LeafAxleInput) =>
  new LeafSideModel(
    draw(input, (e) => e.value),
    'left',
  );
const exact = (value: number) => ({ value, half90: 0, origin: 'measured' as const });

test.each([0, 0.08, -0.08])(
  'under a pad of slope %f the spring stands as it was read, its end where it bears',
  (slope) => {
    const { input } = assemble(onPad());
    const side = modelOf({ ...input, pad: { slope: exact(slope) } }).state([], 0);
    const { state } = side.spring!;
    expect(state.shape.arch).toBeCloseTo(
      input.sides.left.spring!.archTop.value + input.pack!.leaves[0]!.thickness.value / 2,
      3,
    );
    expect(state.eyeLine).toBeCloseTo(0, 6);
    // Square to its face: a pad that rises rearwards pushes the end rearwards.
    expect(state.forces.tension / state.forces.rear).toBeCloseTo(Math.tan(slope), 6);
    expect(state.shackleAngle).toBeNull();
  },
);

test('a level pad is a square shackle without end: the rate comes near it as one over the length', () => {
  const { input } = assemble(onPad());
  const rate = (given: LeafAxleInput) => sideRate(modelOf(given).state([], 0).spring!);
  const pad = rate({ ...input, pad: { slope: exact(0) } });
  const { pad: _, ...rest } = input;
  const hung = (length: number) =>
    rate({ ...rest, shackle: { length: exact(length), angle: exact(Math.PI / 2) } }) - pad;
  expect(Math.abs(hung(125))).toBeGreaterThan(0.1);
  expect(hung(125) / hung(250)).toBeCloseTo(2, 1);
  expect(hung(250) / hung(500)).toBeCloseTo(2, 1);
});

test('what was read of a shackle counts for nothing, the doubt of the pad’s slope does, and no shackle is changed', () => {
  const sheet = onPad([{ kind: 'removeLeaf', leaf: 6 }]);
  const without = { ...sheet, readings: sheet.readings.filter((r) => !r.point.startsWith('shackle')) };
  expect(assemble(sheet).input).toEqual(assemble(without).input);
  const state = finish(predictAxle(assemble(sheet).input)).sides.left!.states[0]!;
  const slope = state.contributions.find((c) => c.path === 'pad.slope');
  expect(slope?.origin).toBe('assumed');
  expect(Math.abs(slope!.effect)).toBeGreaterThan(0);
  expect(state.contributions.some((c) => c.path.startsWith('shackle') && c.effect !== 0)).toBe(false);
  const longer = modelOf(assemble(onPad([{ kind: 'shackle', length: 130 }])).input);
  const change = draw(assemble(onPad([{ kind: 'shackle', length: 130 }])).input, (e) => e.value).changes;
  expect(() => longer.state(change, 0)).toThrow('no shackle to change');
});

test('rubbing on the pad holds the height within its work: force on the pad times what it slides for one newton more', () => {
  const { input } = assemble(onPad());
  const of = (friction: number) => modelOf({ ...input, pad: { slope: exact(0), friction: exact(friction) } });
  const held = (friction: number) => of(friction).frictionHeight([], 0) - of(0).frictionHeight([], 0);
  const at = (extra: number) => of(0).state([], extra).spring!.state;
  const slide = (at(120).rearEye.x - at(-120).rearEye.x) / 240;
  expect(held(0.2)).toBeCloseTo(0.2 * at(0).forces.rear * Math.abs(slide), 1);
  expect(held(0.4) / held(0.2)).toBeCloseTo(2, 6);
  expect(held(0.2)).toBeGreaterThan(0.1);
});
