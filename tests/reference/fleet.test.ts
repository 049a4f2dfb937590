import { patternOf } from '@/core/fleet/pattern';
import { sweepOne } from '@/core/fleet/sweep';
import { liftBy } from '@/core/fleet/pattern';
import { CoreError } from '@/core/errors';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { LONGITUDINAL_LEAF } from '@/core/suspension/longitudinalLeaf/kind';
import { Variants } from '@/core/prediction/outcomes';
import { type LeafPoint } from '@/core/suspension/longitudinalLeaf/points';
import { type PlannedChange, type Sheet } from '@/core/suspension/longitudinalLeaf/sheet';
import { uniformFrom } from '@/workers/random';
import { normal } from '@/core/estimate/estimate';
import { ADDED_LEAF, flatbedSheet } from './sheets';

/** How much vehicles with the same pack differ from one another: standard deviations of what is read of each. Chosen. */
const SCATTER: Partial<Record<LeafPoint, number>> = {
  ...{ hubToLip: 15, loadedArch: 6, axleLoad: 90, shackleAngle: 0.05, shackleLength: 0.5, leafThickness: 0.1 },
  ...{ eyeToPinFront: 1.5, eyeToPinRear: 1.5, leafFront: 2, leafRear: 2, leafWidth: 0.2, blockHeight: 0 },
};

/** A vehicle made alike, as the tape would read it. */
function alike(sheet: Sheet, uniform: () => number): Sheet {
  return {
    ...sheet,
    readings: sheet.readings.map((r) => {
      const by = SCATTER[r.point as LeafPoint] ?? 0;
      return by === 0 ? r : { ...r, value: r.value + by * normal(uniform) };
    }),
  };
}

/** The same plan solved on the vehicle itself, on the mean of what nobody saw. */
function solved(sheet: Sheet): number {
  const { input } = LONGITUDINAL_LEAF.taught(assemble(sheet).input, 'left');
  const variants = new Variants(LONGITUDINAL_LEAF, input, 'left', 1);
  return variants.branches.reduce((sum, branch) => {
    const at = variants.attempt(branch, new Map());
    if (at instanceof CoreError) throw at;
    return sum + branch.chance * at[0]!;
  }, 0);
}

test('60 vehicles with one pack: the lift told by the pattern is the one solved on each, far nearer than its own band', () => {
  const sheet = flatbedSheet();
  const pattern = patternOf(LONGITUDINAL_LEAF, assemble(sheet).input, 'left');
  expect(pattern.lift).toBeCloseTo(solved(sheet), 2);
  const uniform = uniformFrom(26);
  const told = Array.from({ length: 60 }, () => {
    const other = alike(sheet, uniform);
    const { lift, half90, unlike } = liftBy(pattern, assemble({ ...other, changes: [] }).input, 'left');
    expect(unlike).toEqual([]);
    return { off: Math.abs(lift - solved(other)), half90 };
  }).toSorted((p, q) => p.off - q.off);
  const at = (share: number) => told[Math.floor(share * told.length)]!.off;
  console.log(
    `fleet: off by ${at(0.5).toFixed(2)} mm at the median, ${at(0.95).toFixed(2)} mm at 95 %, lift ${pattern.lift.toFixed(1)} ± ${told[0]!.half90.toFixed(1)} mm`,
  );
  expect(at(0.95)).toBeLessThan(0.5 * told[0]!.half90);
});

test('a vehicle that is unlike is told as that, one that stands is left alone, and of two plans the one that just reaches is taken', () => {
  const sheet = flatbedSheet();
  const of = (changes: Sheet['changes']) => patternOf(LONGITUDINAL_LEAF, assemble({ ...sheet, changes }).input, 'left');
  const [small, large] = [of([{ ...ADDED_LEAF, camber: 90 } as PlannedChange]), of([ADDED_LEAF])];
  const bare = assemble({ ...sheet, changes: [] }).input;
  const sweep = (least: number, patterns = [large, small]) => sweepOne(bare, patterns, { least, tolerance: 2 });
  expect(sweep(521)).toMatchObject({ verdict: 'stands', height: 520 });
  const [few, many] = [520 + small.lift, 520 + large.lift];
  expect(sweep(few)).toMatchObject({ verdict: 'plan', plan: 1 });
  expect(sweep(many)).toMatchObject({ verdict: 'plan', plan: 0 });
  expect(sweep(many + 30)).toMatchObject({ verdict: 'none', plan: 0 });
  const fewer = {
    ...sheet,
    changes: [],
    leafIds: sheet.leafIds.slice(0, 5),
    readings: sheet.readings.filter((r) => r.leafId !== 'f'),
  };
  const unlike = sweepOne(assemble(fewer).input, [large], { least: 600, tolerance: 2 });
  expect(unlike.verdict).toBe('unlike');
  expect(unlike.unlike.join()).toContain('leaves');
  const unread = assemble({
    ...sheet,
    changes: [],
    readings: sheet.readings.filter((r) => r.point !== 'hubToLip'),
  }).input;
  expect(sweepOne(unread, [large], { least: 600, tolerance: 2 }).verdict).toBe('notMeasured');
  // One side with a pack of its own is another vehicle.
  const [left, full] = ['left' as const, assemble({ ...sheet, changes: [] }).input];
  const lone = { ...full, own: { side: left, pack: full.pack } };
  expect(sweepOne(lone, [large], { least: 600, tolerance: 2 }).verdict).toBe('unlike');
});
