import fc from 'fast-check';
import { draw } from '../../estimate/tree';
import { type SheetReading } from '../../sheet/reading';
import { assembleShear, planned, type PlannedShearChange, type ShearAxleSheet } from './assemble';
import { shearChecks } from './checks';
import { shearConsistency } from './consistency';
import { SHEAR_SHEET, type ShearPoint } from './points';
import { ShearSideModel } from './sideModel';
import { standingOf } from './standing';
import { taughtShear } from './taught';
import { shearRefusal, shearWays, type ShearPart } from './ways';

const at = (point: ShearPoint, value: number, side: 'left' | 'right' | null = null, state = 'now') =>
  ({
    ...{ point, value, side, phase: 'before', leafId: null, rolled: true },
    stateId: SHEAR_SHEET[point].loaded ? state : null,
  }) as SheetReading<ShearPoint>;
const READ = [
  ...[at('axleLoad', 1540), at('unsprungMass', 262), at('shearLong', 152), at('shearWide', 92), at('shearThick', 84)],
  ...[at('shearHard', 50), at('carrierFixed', 618), at('carrierNose', 536), at('carrierLeaves', 4)],
  ...[
    at('carrierWidth', 70),
    at('carrierThickness', 11.2),
    at('shearOffset', 4, 'left'),
    at('shearOffset', 2, 'right'),
  ],
  ...[at('hubToLip', 420, 'left'), at('hubToLip', 422, 'right')],
];
const sheetOf = (readings: SheetReading<ShearPoint>[], changes: PlannedShearChange[] = []): ShearAxleSheet => ({
  axle: { position: 'rear', axleClass: 'oneTonRear' },
  wheelbase: 3640,
  states: [
    { id: 'now', name: 'today', addedMass: 0, station: 0 },
    { id: 'full', name: 'full', addedMass: 600, station: 3640 },
  ],
  readings,
  changes,
});
const input = (more: SheetReading<ShearPoint>[] = []) => assembleShear(sheetOf([...READ, ...more])).input;
const model = (of = input()) =>
  new ShearSideModel(
    draw(of, (e) => e.value),
    'left',
  );
const drawn = (change: PlannedShearChange) => draw(planned(change), (e) => e.value);
const block = (rate: number, offset: number, thick = 84): PlannedShearChange => ({
  ...{ kind: 'shearBlock', rate, thick, offset, used: false, source: 'measured' },
});

test('what nobody read is asked for in measuring order; a maker’s rate takes the place of sizes and hardness', () => {
  const { missing } = assembleShear(sheetOf([]));
  expect(missing.map((m) => m.point)).toEqual([
    ...['shearLong', 'shearWide', 'shearThick', 'carrierFixed', 'carrierNose', 'carrierLeaves', 'carrierWidth'],
    ...['carrierThickness', 'axleLoad', 'shearOffset'],
  ]);
  const marked = assembleShear(
    sheetOf([...READ.filter(({ point }) => !/Long|Wide|Hard/.test(point)), at('shearRate', 118)]),
  );
  expect(marked.missing).toEqual([]);
  expect(marked.input.block!.rate).toMatchObject({ value: 118, origin: 'measured' });
  expect(input().block!.rate.origin).toBe('computed');
  const guessed = assembleShear(sheetOf(READ.filter(({ point }) => point !== 'shearHard'))).input.block!.rate;
  expect(guessed.origin).toBe('assumed');
  expect(guessed.half90 / guessed.value).toBeGreaterThan(input().block!.rate.half90 / input().block!.rate.value);
});

test('a block of the same rate and free offset changes nothing; a carrier a row lower lifts the frame by the axle’s share of the row', () => {
  const now = model();
  const { freeOffset, blockRate } = now.figures([], 0)!;
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 6000, noNaN: true }),
      fc.double({ min: -60, max: 60, noNaN: true }),
      (load, by) => {
        const same = drawn(block(blockRate, freeOffset));
        const row = drawn({ kind: 'blockHoles', by });
        expect(now.rise([same], load)).toBeCloseTo(now.rise([], load), 9);
        expect(now.rise([row], load) - now.rise([], load)).toBeCloseTo((by * 618) / (618 + 536), 9);
        // The order of changes does not matter.
        expect(now.rise([same, row], load)).toBeCloseTo(now.rise([row, same], load), 9);
        // Nothing rises under more load.
        expect(now.rise([], load + 100)).toBeLessThan(now.rise([], load));
      },
    ),
  );
});

test('with its wheels hanging the rubber is sheared the other way by the axle’s own weight, never loose', () => {
  const now = model();
  const { load, toLimit, rate, thick, sheared } = now.figures([], 0)!;
  expect(now.figures([], -load)!.sheared).toBeCloseTo(0, 9);
  expect(now.figures([], -load - 1000)!.sheared).toBeLessThan(0);
  // Where its travel ends the frame stands that much lower.
  expect(now.ends([])).toMatchObject([{ id: 'shearTravel', rise: expect.closeTo(now.rise([], 0) - toLimit, 9) }]);
  // At the end of its travel the rubber is sheared as far as it is thick.
  expect(now.figures([], toLimit * rate)!.sheared).toBeCloseTo(thick, 6);
  expect(sheared).toBeGreaterThan(0);
});

test('heights under a second load say what the block’s rate is; figures of another spring are refused', () => {
  const stiff = {
    ...input(),
    block: { ...input().block!, rate: { ...input().block!.rate, value: 1.3 * input().block!.rate.value } },
  };
  const extra = 300 * 9.80665;
  const lower = model(stiff).rise([], 0) - model(stiff).rise([], extra);
  const read = input([at('hubToLip', 420 - lower, 'left', 'full')]);
  const found = taughtShear(read, 'left').input.block!.rate;
  // Most of what it went down is the leaf's: the tape says a little of the block, and is believed a little.
  expect(found.value).toBeGreaterThan(1.01 * read.block!.rate.value);
  expect(found.value).toBeLessThan(1.3 * read.block!.rate.value);
  expect(found.half90 / found.value).toBeLessThan(read.block!.rate.half90 / read.block!.rate.value);
  expect(taughtShear(input([at('hubToLip', 415, 'left', 'full')]), 'left').unfit).toContain('second load');
});

test('slips are told: sides, a carrier that sinks under load, rubber sheared beyond anything', () => {
  const rules = (readings: SheetReading<ShearPoint>[]) => shearConsistency(sheetOf(readings)).map((f) => f.rule);
  expect(rules(READ)).toEqual([]);
  const but = (...other: SheetReading<ShearPoint>[]) => [
    ...READ.filter((r) => !other.some((o) => o.point === r.point && o.side === r.side && o.stateId === r.stateId)),
    ...other,
  ];
  expect(rules(but(at('shearOffset', 40, 'left')))).toEqual(['shearSides', 'shearHeight']);
  expect(rules(but(at('shearOffset', -20, 'left', 'full')))).toContain('shearOrder');
  expect(rules(but(at('shearWide', 20)))).toContain('shearFar');
});

test('checks: standing shear, what is left to the rubber, stress of the leaf, a block of another axle', () => {
  const states = (changes: PlannedShearChange[], extra: number) =>
    shearChecks(true, [standingOf(model().figures([], extra), model().figures(changes.map(drawn), extra)!)]).map(
      ({ item, state }) => `${item} ${state}`,
    );
  expect(states([block(105, -57)], 0)).toEqual([
    'shearStrain fits',
    'shearTravel fits',
    'shearLeaf fits',
    'shearRate fits',
  ]);
  expect(states([block(60, -57, 70)], 0)).toContain('shearStrain look');
  expect(states([block(30, -57, 70)], 0)).toContain('shearStrain does not fit');
  expect(states([block(200, -57)], 0)).toContain('shearRate look');
  expect(states([block(105, -57)], 9000)).toContain('shearLeaf stop');
  expect(shearChecks(false, []).map(({ state }) => state)).toEqual(Array(3).fill('not checked'));
});

test('ways: pairs of blocks that take this carrier, and its other rows where they were read; nearest to the wish first', () => {
  const part = (id: string, rate: number, more: Partial<ShearPart> = {}): ShearPart => ({
    ...{ id, name: id, price: 80, days: 0, used: false, rate, thick: 84, offset: -57, rows: 38, ...more },
  });
  const parts = [
    part('standard', 104),
    part('firm', 138),
    part('wide', 104, { rows: 52 }),
    part('unknown', 104, { offset: null }),
  ];
  expect(parts.map((p) => shearRefusal(p, 38))).toEqual([
    null,
    null,
    expect.stringContaining('holes'),
    expect.stringContaining('offset'),
  ]);
  const ways = shearWays(input(), parts, { stateId: 'now', change: 18 }, 38);
  expect(ways).toHaveLength(2 + 2 + 4);
  expect(ways.every((w) => w.parts.every((p) => ['standard', 'firm'].includes(p.id)))).toBe(true);
  const offs = ways.filter((w) => w.checks.every((c) => c.state === 'fits')).map((w) => Math.abs(w.off));
  expect(offs).toEqual(offs.toSorted((p, q) => p - q));
  expect(shearWays(input(), parts, { stateId: 'now', change: 18 }, null)).toHaveLength(3);
});
