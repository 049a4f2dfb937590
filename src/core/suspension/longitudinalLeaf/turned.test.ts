import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { LONGITUDINAL_LEAF } from './kind';
import { type LeafPrediction } from './onPage';
import { type LeafAxleInput } from './input';
import { SpringUnderLoad, type SpringView } from './underLoad';

/** The same spring turned end for end in its vehicle: every length in front is behind, the shackle in front. */
function turnedInput(input: LeafAxleInput): LeafAxleInput {
  const swap = <T extends { front: unknown; rear: unknown }>(leaf: T): T => ({
    ...leaf,
    front: leaf.rear,
    rear: leaf.front,
  });
  return {
    ...input,
    pack: input.pack && { ...input.pack, leaves: input.pack.leaves.map(swap) },
    shackle: { ...input.shackle!, at: 'front' },
    changes: input.changes.map((c) => {
      if (c.kind === 'addLeaf') return swap(c);
      if (c.kind === 'wedge') return { ...c, thick: c.thick === 'front' ? ('rear' as const) : ('front' as const) };
      return c;
    }),
  };
}

const WORK = [
  { kind: 'addLeaf', front: 420, rear: 520, thickness: 8, camber: 110, source: 'measured' },
  { kind: 'shackle', length: 130 },
  { kind: 'wedge', angle: 0.05, height: 9, thick: 'rear' },
] as const;

test('a shackle at the front turns nose, drawing and wedge about, and leaves heights and bands as they are', () => {
  const { input } = assemble(flatbedSheet(WORK));
  const behind = finish(predictAxle(input, false)) as LeafPrediction;
  const before = finish(predictAxle(turnedInput(input), false)) as LeafPrediction;
  const of = (p: LeafPrediction) => p.sides.left!.states.map((s) => s.built!);
  of(before).forEach((figures, k) => {
    const like = of(behind)[k]!;
    expect(figures.arch).toBeCloseTo(like.arch, 9);
    expect(figures.rate).toBeCloseTo(like.rate, 9);
    expect(figures.shackleAngle).toBeCloseTo(like.shackleAngle!, 9);
    const { elevation } = figures;
    expect(elevation.turned).toBe(true);
    expect(elevation.frontEye.x).toBeCloseTo(-like.elevation.rearEye.x, 9);
    expect(elevation.seat.x).toBeCloseTo(-like.elevation.seat.x, 9);
    expect(elevation.seatTilt).toBeCloseTo(-like.elevation.seatTilt, 9);
    expect(elevation.stack.wedge!.noseUp).toBeCloseTo(-like.elevation.stack.wedge!.noseUp, 9);
    // The leaf's first place is its front tip in every drawing.
    expect(elevation.leaves[0]!.points[0]!.x).toBeLessThan(elevation.leaves[0]!.points.at(-1)!.x);
  });
  expect(LONGITUDINAL_LEAF.noseUp!([built(before)])).toBeCloseTo(-LONGITUDINAL_LEAF.noseUp!([built(behind)])!, 9);
  before.sides.left!.states.forEach((state, k) =>
    expect(state.change).toBeCloseTo(behind.sides.left!.states[k]!.change, 9),
  );
});

const built = (p: LeafPrediction) => ({
  side: 'left' as const,
  today: true,
  old: p.sides.left!.states[0]!.old,
  built: p.sides.left!.states[0]!.built,
});

test('a sheet says where its shackle is; under load the stress lies on the other side of the pin', () => {
  const sheet = flatbedSheet([]);
  const said = assemble({ ...sheet, pack: { ...sheet.pack, shackleAt: 'front' } }).input;
  expect(said.shackle!.at).toBe('front');
  const input = assemble(sheet).input;
  const view = (of: LeafAxleInput) => new SpringUnderLoad(of, 'left').at(5000, 'installed').old as SpringView;
  const [like, turned] = [view(input), view(turnedInput(input))];
  expect(turned.pivot!.x).toBeCloseTo(-like.pivot!.x, 9);
  expect(turned.budget.map((b) => b.at)).toEqual(like.budget.map((b) => expect.closeTo(-b.at, 6) as number));
});
