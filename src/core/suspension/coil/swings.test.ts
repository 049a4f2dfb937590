import { draw } from '../../estimate/tree';
import { finish } from '../../finish';
import { SIDES, type Side } from '../../vehicle/side';
import { standingOf, type AxlePrediction } from '../registry';
import { predictAxle } from '../solvers';
import { assembleCoil, type CoilAxleSheet, type PlannedCoilChange } from './assemble';
import { askedOf, coilChecks } from './checks';
import { type CoilAxleInput, type CoilKind } from './input';
import { COIL_SHEET, type CoilPoint } from './points';
import { CoilSideModel } from './sideModel';
import { coilWays } from './ways';

type Texts = Partial<Record<CoilPoint, number | [number, number]>>;
/** An invented light truck's axle of each kind. */
function sheet<K extends CoilKind>(kind: K, more: Texts = {}, changes: PlannedCoilChange[] = []): CoilAxleSheet<K> {
  const read: Texts = {
    ...{ axleLoad: 1150, unsprungMass: 190, coilWire: 15.5, coilOutside: 140, coilTurns: 8.5 },
    ...{ hubToLip: [440, 440], coilLength: [275, 275], ...more },
  };
  const row = (point: string, value: number, side: Side | null) => ({
    ...{ point: point as CoilPoint, phase: 'before' as const, side, leafId: null, value, rolled: true },
    stateId: COIL_SHEET[point as CoilPoint].loaded ? 'today' : null,
  });
  return {
    kind,
    axle: { position: 'front', axleClass: 'fourByFourFront' },
    wheelbase: 2900,
    ends: 'closedGround',
    readings: Object.entries(read).flatMap(([point, value]) =>
      Array.isArray(value) ? [row(point, value[0], 'left'), row(point, value[1], 'right')] : [row(point, value, null)],
    ),
    states: [
      { id: 'today', name: 'today', addedMass: 0, station: 0 },
      { id: 'laden', name: 'laden', addedMass: 200, station: 0 },
    ],
    changes,
  };
}
const ARMS: Texts = { coilArm: 560, hubArm: 900, pivotRise: 60, radiusArm: 950 };
const SPACER: PlannedCoilChange = { kind: 'spacer', height: 30 };
const model = (input: CoilAxleInput, side: Side = 'left') => {
  const drawn = draw(input, (e) => e.value);
  return { model: new CoilSideModel(drawn, side), changes: drawn.changes };
};
const told = (input: CoilAxleInput) => finish(predictAxle(input));
const row = (input: CoilAxleInput, item: string) => {
  const { own } = standingOf(told(input) as AxlePrediction);
  return coilChecks(askedOf(draw(input, (e) => e.value)), own.of as never).find((r) => r.item === item)!;
};

test('twin beams: what stands inboard does more at the wheel; raised, the wheels lean out, come in and lose caster', () => {
  const { input, missing } = assembleCoil(sheet('twinBeam', ARMS, [SPACER]));
  expect(missing).toEqual([]);
  const { model: beam, changes } = model(input);
  expect(beam.rise(changes, 0) - beam.rise([], 0)).toBeCloseTo((30 * 900) / 560, 9);
  const { swing } = beam.figures(changes, 0)!;
  const up = (30 * 900) / 560;
  expect(swing!.gained).toBeCloseTo(Math.asin((60 + up) / 900) - Math.asin(60 / 900), 12);
  expect(swing!.out).toBeCloseTo(Math.sqrt(900 ** 2 - (60 + up) ** 2) - Math.sqrt(900 ** 2 - 60 ** 2), 9);
  expect(swing!.casterLost).toBeCloseTo(up / 950, 12);
  // A load lowers it; the work's own lean is told against the same load.
  expect(beam.figures([], 1000)!.swing!.gained).toBe(0);
  expect(row(input, 'swingCamber')).toMatchObject({
    state: 'look',
    text: expect.stringContaining('further out') as string,
  });
  expect(row(assembleCoil(sheet('twinBeam', ARMS)).input, 'swingCamber').state).toBe('fits');
  expect(assembleCoil(sheet('twinBeam')).missing.map((m) => m.point)).toEqual(['hubArm', 'coilArm']);
  const { radiusArm: _, ...without } = ARMS;
  expect(row(assembleCoil(sheet('twinBeam', without, [SPACER])).input, 'swingCaster').state).toBe('not checked');
});

test('a trailing beam: its pivots’ rubber is twisted by what the arm turns until the coil is loose; bushes that turn are not', () => {
  const trail: Texts = {
    coilArm: 390,
    hubArm: 410,
    pivotShell: 62,
    pivotSleeve: 12,
    pivotLength: 50,
    coilFree: [395, 395],
  };
  const { input } = assembleCoil(sheet('torsionBeam', trail, [{ kind: 'pivotBush', bush: 'bonded' }]));
  const { model: beam, changes } = model(input);
  // New rubber lifts nothing by itself.
  expect(beam.rise(changes, 0)).toBe(beam.rise([], 0));
  const { swing, toLoose } = beam.figures(changes, 0)!;
  const pivot = input.swing!.rise.value;
  expect(swing!.hangs).toBeCloseTo(Math.asin((pivot + toLoose) / 410) - Math.asin(pivot / 410), 9);
  const rubber = row(input, 'pivotTwist');
  // The furthest of both loads, with what free length and length under load taught of its rate.
  const furthest = Math.max(...told(input).sides.left!.states.map((s) => s.built!.swing!.hangs));
  const strain = (2 * furthest) / (1 - ((12 + 6) / (62 - 3)) ** 2);
  expect(rubber.text).toContain(`strained ${Math.round(100 * strain)} %`);
  expect(rubber.text).toContain('hold the body up');
  const turns = assembleCoil(sheet('torsionBeam', trail, [{ kind: 'pivotBush', bush: 'turns' }])).input;
  expect(row(turns, 'pivotTwist')).toMatchObject({ state: 'fits' });
  expect(row(turns, 'swingCamber')).toBeUndefined();
  // A coil that would stay tight further down than a short arm reaches is no reason to answer nothing.
  const stubby = assembleCoil(sheet('torsionBeam', { coilArm: 118, hubArm: 125, coilFree: [395, 395] })).input;
  expect(told(stubby).sides.left!.states[0]!.old!.swing!.hangs).toBeCloseTo(Math.asin(0.95) - Math.asin(0), 1);
});

test('a coil over its damper: a groove is its pitch over the lever, sides for themselves; loose with the unit open does not fit', () => {
  const unit: Texts = { coilArm: 260, hubArm: 380, perchPitch: 12, coilOpen: [330, 330], coilFree: [402, 402] };
  const perch: PlannedCoilChange = { kind: 'perch', pitch: 12, left: 3, right: 2 };
  const { input } = assembleCoil(sheet('coilOver', unit, [perch]));
  for (const side of SIDES) {
    const { model: strut, changes } = model(input, side);
    const grooves = side === 'left' ? 3 : 2;
    expect(strut.rise(changes, 500) - strut.rise([], 500)).toBeCloseTo((grooves * 12 * 380) / 260, 9);
    const [before, after] = [strut.figures([], 0)!, strut.figures(changes, 0)!];
    expect(before.preload!).toBeCloseTo(before.axialRate * (before.free - 330), 6);
    expect(after.preload! - before.preload!).toBeCloseTo(after.axialRate * grooves * 12, 6);
    // The load on it is the same: so is its length.
    expect(after.length).toBeCloseTo(before.length, 9);
  }
  expect(row(input, 'perchAlike')).toMatchObject({ state: 'look' });
  expect(row(input, 'coilPreload').state).toBe('fits');
  const short = assembleCoil(sheet('coilOver', { ...unit, coilOpen: [420, 420] })).input;
  expect(row(short, 'coilPreload')).toMatchObject({ state: 'does not fit' });
  const { coilOpen: _, ...unread } = unit;
  expect(row(assembleCoil(sheet('coilOver', unread)).input, 'coilPreload').state).toBe('not checked');
  const ways = coilWays(assembleCoil(sheet('coilOver', unit)).input, [], { stateId: 'today', change: 36 }, 12);
  expect(ways[0]).toMatchObject({ name: '2 grooves up', price: 0 });
});

test('sides changed over give predictions changed over', () => {
  const two: Texts = { ...ARMS, hubToLip: [446, 440], coilLength: [281, 275] };
  const [a, b] = [two, { ...two, hubToLip: [440, 446], coilLength: [275, 281] } as Texts].map((texts) =>
    told(assembleCoil(sheet('twinBeam', texts, [SPACER])).input),
  );
  for (const [p, q] of [
    ['left', 'right'],
    ['right', 'left'],
  ] as const)
    expect(a!.sides[p]!.states.map((s) => s.after)).toEqual(b!.sides[q]!.states.map((s) => s.after));
});
