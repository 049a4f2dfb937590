import fc from 'fast-check';
import { uniformFrom } from '@/workers/random';
import { CoreError } from '../../errors';
import { finish } from '../../finish';
import { coilRate, solidHeight } from '../../mechanics/coil/coil';
import { GRAVITY } from '../../material/steel';
import { predictBands } from '../../prediction/band';
import { predictCentral } from '../../prediction/central';
import { ledgerValue, summarise } from '../../prediction/ledger';
import { type SheetReading } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { assembleCoil, type CoilAxleSheet, type PlannedCoilChange } from './assemble';
import { COIL_BEAM } from './kind';
import { type CoilPoint } from './points';

const read = (
  point: CoilPoint,
  value: number,
  side: Side | null = null,
  stateId: string | null = null,
): SheetReading<CoilPoint> => ({
  ...{ point, phase: 'before', side, leafId: null, stateId, value, rolled: point === 'hubToLip' ? true : null },
});
/** An invented fire tender's rear axle. */
const sheet = (changes: PlannedCoilChange[], ...more: SheetReading<CoilPoint>[]): CoilAxleSheet<'coilBeam'> => ({
  kind: 'coilBeam',
  axle: { position: 'rear', axleClass: 'oneTonRear' },
  wheelbase: 3300,
  ends: 'closedGround',
  readings: [
    ...SIDES.map((side) => read('hubToLip', 610, side, 'today')),
    ...SIDES.map((side) => read('coilLength', 296, side, 'today')),
    read('axleLoad', 1700, null, 'today'),
    read('unsprungMass', 260),
    read('coilWire', 17),
    read('coilOutside', 147),
    read('coilTurns', 8.5),
    ...more,
  ],
  states: [
    { id: 'today', name: 'as it stands', addedMass: 0, station: 0 },
    { id: 'tank', name: 'water tank full', addedMass: 600, station: 2800 },
  ],
  changes,
});
const OLD = { wire: 17, mean: 130, turns: 8.5, ends: 'closedGround' as const };
const LOAD = ((1700 - 260) / 2) * GRAVITY;
const stiffer: PlannedCoilChange = {
  ...{
    kind: 'coil',
    wire: 18,
    outside: 148,
    turns: 8.5,
    ends: 'closedGround',
    free: 425,
    used: false,
    source: 'measured',
  },
};
const side = (given: CoilAxleSheet<'coilBeam'>) =>
  finish(predictCentral(COIL_BEAM, assembleCoil(given).input)).sides.left!;

test('a swap of coils by hand: new free length less what it gives, against the length that was read', () => {
  const [today, laden] = side(sheet([stiffer])).states;
  const rate = coilRate({ ...OLD, wire: 18 });
  expect(today!.change).toBeCloseTo(425 - LOAD / rate - 296, 6);
  const more = ((600 * 2800) / 3300 / 2) * GRAVITY;
  expect(laden!.beforeHere).toBeCloseTo(610 - more / coilRate(OLD), 6);
  expect(laden!.after! - today!.after!).toBeCloseTo(-more / rate, 6);
  expect(today!.built!.axialRate / today!.old!.axialRate).toBeCloseTo((18 / 17) ** 4, 9);
});

test('property: every ledger adds up, before plus change is after, and the order of changes does not matter', () => {
  const mm = (min: number, max: number) => fc.integer({ min, max });
  fc.assert(
    fc.property(mm(160, 200), mm(380, 450), mm(0, 40), (wire, free, height) => {
      const coil: PlannedCoilChange = { ...stiffer, wire: wire / 10, free };
      const spacer: PlannedCoilChange = { kind: 'spacer', height };
      const both = side(sheet([coil, spacer])).states;
      for (const { ledger, after } of both) {
        const parts = ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling');
        expect(parts.reduce((sum, l) => sum + l.value, 0)).toBeCloseTo(ledgerValue(ledger, 'total'), 9);
        const said = summarise(ledger);
        expect(said.before! + said.change).toBeCloseTo(after!, 9);
      }
      expect(side(sheet([spacer, coil])).states[1]!.after).toBeCloseTo(both[1]!.after!, 9);
    }),
    { numRuns: 20 },
  );
});

test('inboard on an arm the hub goes further than the coil: rate by the square, height by the inverse', () => {
  const arms = [read('coilArm', 400), read('hubArm', 500)];
  const upright = side(sheet([{ kind: 'spacer', height: 20 }]));
  const inboard = side(sheet([{ kind: 'spacer', height: 20 }], ...arms));
  expect(upright.states[0]!.change).toBeCloseTo(20, 9);
  expect(inboard.states[0]!.change).toBeCloseTo(20 / 0.8, 9);
  expect(inboard.states[0]!.old!.rate / upright.states[0]!.old!.rate).toBeCloseTo(0.64, 9);
  expect(inboard.states[0]!.old!.axial).toBeCloseTo(LOAD / 0.8, 6);
});

test('free length and length under load teach the rate; what no coil could be is said, and not used', () => {
  const free = (value: number) => SIDES.map((s) => read('coilFree', value, s));
  const computed = coilRate(OLD);
  const given = LOAD / (1.1 * computed);
  const taught = side(sheet([], ...free(296 + given)));
  // An axle load that was only estimated is doubted more than wire and turns: the rate moves a little, the load most of the way.
  const estimated = taught.states[0]!.old!;
  expect(estimated.axialRate / computed).toBeGreaterThan(1);
  expect(estimated.axialRate / computed).toBeLessThan(1.03);
  expect(estimated.axial / LOAD).toBeCloseTo(estimated.axialRate / (1.1 * computed), 2);
  // Weighed on pads it is the rate that moves.
  const pads = SIDES.map((s) => read('padLoad', 850, s, 'today'));
  const weighed = side(sheet([], ...free(296 + given), ...pads)).states[0]!.old!;
  expect(weighed.axialRate / computed).toBeGreaterThan(1.05);
  expect(weighed.axial / LOAD).toBeGreaterThan(0.96);
  // Its sizes say nothing more of the rate; what is left are the readings that taught it.
  const doubts = taught.states[1]!.contributions.map((c) => c.path);
  expect(doubts.some((path) => /coil\.(wire|outside|turns|ends)/.test(path))).toBe(false);
  expect(doubts).toContain('coil.rateFactor');
  const absurd = side(sheet([], ...free(296 + given * 3)));
  expect(absurd.unfit).toMatch(/do not belong to one coil/);
  expect(absurd.states[0]!.old!.axialRate).toBeCloseTo(computed, 9);
});

test('ends that nobody looked at widen the band; a coil that is solid under its load is no answer', () => {
  // What a load takes hangs on the rate of the coil that is there, and that on its dead turns.
  const spacer = sheet([{ kind: 'spacer', height: 20 }]);
  const bandOf = (given: CoilAxleSheet<'coilBeam'>) => {
    const { input } = assembleCoil(given);
    const prediction = finish(predictCentral(COIL_BEAM, input));
    const bands = finish(predictBands(COIL_BEAM, input, prediction, uniformFrom(3), 400));
    return { first: prediction.sides.left!.states[1]!.firstOrder, half: bands.left![1]!.half };
  };
  const [seen, unseen] = [bandOf(spacer), bandOf({ ...spacer, ends: null })];
  expect(unseen.half).toBeGreaterThan(1.2 * seen.half);
  expect(unseen.first).toBeGreaterThan(seen.first);
  const short: PlannedCoilChange = { ...stiffer, free: 190 };
  expect(solidHeight({ ...OLD, wire: 18 })).toBeGreaterThan(190 - LOAD / coilRate({ ...OLD, wire: 18 }));
  expect(() => side(sheet([short]))).toThrow(CoreError);
});

test('what is not read is listed, nothing is invented, and a spacer is answered from the heights alone', () => {
  const bare = {
    ...sheet([{ kind: 'spacer', height: 15 }]),
    readings: SIDES.map((s) => read('hubToLip', 610, s, 'today')),
  };
  const { missing, input } = assembleCoil(bare);
  expect(missing.map((m) => m.point)).toEqual(['coilWire', 'coilOutside', 'coilTurns', 'axleLoad']);
  expect(input.sides.left.spring).toBeNull();
  const [only] = finish(predictCentral(COIL_BEAM, input)).sides.left!.states;
  expect(only!.after).toBeCloseTo(625, 9);
});
