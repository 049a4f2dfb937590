import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { uniformFrom } from '@/workers/random';
import { predictBands } from '../../prediction/band';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { assemble } from './assemble';
import { LONGITUDINAL_LEAF } from './kind';
import { type LeafPrediction } from './onPage';
import { type LeafReading, type Sheet } from './sheet';
import { LeafSideModel } from './sideModel';
import { draw } from '../../estimate/tree';
import { depths } from '../../mechanics/leafpack/pack';

const base = flatbedSheet();
const lowest = base.leafIds.at(-1)!;
const withPack = (pack: Partial<Sheet['pack']>, ...more: LeafReading[]): Sheet => ({
  ...base,
  pack: { ...base.pack, ...pack },
  readings: [...base.readings, ...more],
});
const reading = (point: LeafReading['point'], value: number, leafId: string | null = null): LeafReading => ({
  ...base.readings[0]!,
  ...{ point, value, leafId, side: null, stateId: point === 'overloadGap' ? 'today' : null },
});
const left = (sheet: Sheet) => {
  const prediction = finish(predictAxle(assemble(sheet).input)) as LeafPrediction;
  return { prediction, state: prediction.sides.left!.states[0]! };
};
const modelOf = (sheet: Sheet) =>
  new LeafSideModel(
    draw(assemble(sheet).input, (e) => e.value),
    'left',
  ).state([], 0).spring!;

test('leaves formed flat are not bent by their clamp, and an added one of the same camber is curved tighter beyond it', () => {
  const formed = left(withPack({ seatShape: 'formed' })).state;
  const flat = left(base).state;
  expect(Math.max(...formed.old!.clampStress!.map(Math.abs))).toBe(0);
  expect(flat.old!.clampStress![0]).toBeGreaterThan(100);
  expect(Math.abs(formed.change - flat.change)).toBeGreaterThan(1);
});

test('an overload leaf hangs clear where its daylight was read, and by exactly that much', () => {
  const read = withPack({ lowestLeaf: 'overload' }, reading('overloadGap', 9));
  const { solver, state } = modelOf(read);
  const at = base.leafIds.length - 1;
  const curves = [at - 1, at].map((leaf) => solver.leafCurves(leaf, state.shape));
  const deep = depths(solver.pack.leaves);
  const gaps = (['front', 'rear'] as const).map((end) => {
    const x = curves[1]![end].x.at(-1)!;
    const above = curves[0]![end];
    const k = above.x.findIndex((v) => v >= x);
    const share = (x - above.x[k - 1]!) / (above.x[k]! - above.x[k - 1]!);
    const y = above.y[k - 1]! + share * (above.y[k]! - above.y[k - 1]!);
    return y - deep[at - 1]! - curves[1]![end].y.at(-1)! + deep[at]! - 8;
  });
  expect((gaps[0]! + gaps[1]!) / 2).toBeCloseTo(9, 1);
  // It carries nothing at its tips: without it the spring's rate of the day is nearly the same.
  const pushed = solver.contacts('rear', state.shape).filter((c) => c.lower === at && c.force > 5);
  expect(pushed.every((c) => c.s < 0.6 * solver.pack.leaves[at]!.rear)).toBe(true);
});

test('a camber read of the overload leaf itself counts before its daylight, and what is not said of a thick lowest leaf is carried', () => {
  const own = assemble(
    withPack({ lowestLeaf: 'overload' }, reading('overloadGap', 9), reading('leafCamber', 4, lowest)),
  ).input.pack!;
  expect(own.overloadGap).toBeUndefined();
  expect(own.leaves.at(-1)!.own!.camber.value).toBe(4);
  const thick = base.readings.map((r) =>
    r.point === 'leafThickness' && r.leafId === lowest ? { ...r, value: 13 } : r,
  );
  const asked = assemble({ ...base, readings: thick }).input;
  expect(asked.pack!.leaves.at(-1)!.role).toBe('unknown');
  expect(LONGITUDINAL_LEAF.unseen(asked, 'left').map((u) => u.path)).toEqual([
    `pack.leaves.${base.leafIds.length - 1}.role`,
  ]);
  expect(
    assemble({ ...base, readings: thick, pack: { ...base.pack, lowestLeaf: 'graded' } }).input.pack!.leaves.at(-1)!
      .role,
  ).toBeUndefined();
});

test('what nobody saw: the answer is the mean over what it may be, and the band reaches over all of it', () => {
  const known = (['upturned', 'berlin', 'downturned'] as const).map(
    (eyeForm) => left(withPack({ eyeForm })).state.change,
  );
  const { prediction, state } = left(withPack({ eyeForm: null }));
  expect(state.change).toBeCloseTo(0.6 * known[0]! + 0.25 * known[1]! + 0.15 * known[2]!, 1);
  expect(state.contributions.map((c) => c.path)).toContain('pack.eyesUnseen');
  const input = assemble(withPack({ eyeForm: null })).input;
  const [band] = finish(predictBands(LONGITUDINAL_LEAF, input, prediction, uniformFrom(5), 4000)).left!;
  const before = state.before!;
  for (const change of known) {
    expect(before + change).toBeGreaterThan(band!.low);
    expect(before + change).toBeLessThan(band!.high);
  }
});

test('variants that cannot stand are told, and the band of the others stays', () => {
  const { input } = assemble({
    ...base,
    changes: [
      { kind: 'block', height: 20 },
      { kind: 'shackle', length: 130 },
    ],
  });
  // A shackle that nobody read well, lying so flat that some of what it may be cannot reach.
  const wide = {
    ...input,
    shackle: { ...input.shackle!, angle: { value: 2.6, half90: 0.35, origin: 'assumed' as const } },
  };
  const prediction = finish(predictAxle(wide)) as LeafPrediction;
  const [band] = finish(predictBands(LONGITUDINAL_LEAF, wide, prediction, uniformFrom(5), 2000)).left!;
  expect(band!.unsolved?.share).toBeGreaterThan(0.005);
  expect(band!.unsolved?.reason).toMatch(/shackle/);
  expect(band!.high).toBeGreaterThan(band!.low);
});

test('a leaf hardly longer than the flat its maker forms is still a leaf', () => {
  const short = { kind: 'addLeaf', front: 70, rear: 75, thickness: 8, camber: 2, source: 'measured' } as const;
  const state = left({ ...withPack({ seatShape: 'formed' }), changes: [short] }).state;
  expect(state.change).toBeGreaterThan(5);
  expect(state.change).toBeLessThan(30);
});
