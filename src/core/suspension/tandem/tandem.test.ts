import { predictCentral } from '../../prediction/central';
import { type SheetReading } from '../../sheet/reading';
import { type Side } from '../../vehicle/side';
import { assembleTandem, type PlannedTandemChange, type TandemAxleSheet } from './assemble';
import { pairChecks } from './checks';
import { type TandemKind } from './input';
import { TANDEM_EQUALIZER, TANDEM_SLIPPER } from './kind';
import { type TandemPoint } from './points';
import { seatRate, seatStress } from './spring';
import { pairWays, type PairPart } from './ways';

const DEG = Math.PI / 180;
const read = (
  point: TandemPoint,
  value: number,
  side: Side | null = null,
  stateId: string | null = null,
): SheetReading<TandemPoint> => ({
  ...{ point, value, side, stateId, phase: 'before', leafId: null, rolled: true },
});
const both = (point: TandemPoint, value: number, stateId: string | null = null) =>
  (['left', 'right'] as const).map((side) => read(point, value, side, stateId));

function sheet<K extends TandemKind>(
  kind: K,
  changes: PlannedTandemChange[] = [],
  more: SheetReading<TandemPoint>[] = [],
): TandemAxleSheet<K> {
  return {
    kind,
    axle: { position: 'rear', axleClass: 'trailer1t', arrangement: 'under' },
    wheelbase: 4200,
    states: [
      { id: 'now', name: 'today', addedMass: 0, station: 0 },
      { id: 'full', name: 'boat aboard', addedMass: 700, station: 3900 },
    ],
    changes,
    readings: [
      ...both('hubToLip', 210, 'now'),
      read('axleLoad', 1600, null, 'now'),
      ...[read('pairLeaves', 4), read('pairWidth', 45), read('pairThickness', 6.5)],
      ...[read('pairOuter', 330), read('pairInner', 325)],
      ...both('pairArchFront', 52, 'now'),
      ...both('pairArchRear', 49, 'now'),
      ...[read('rockerFront', 115), read('rockerRear', 125), read('rockerTilt', 4 * DEG, null, 'now')],
      ...[read('rockerStop', 25 * DEG), read('axleSpacing', 840), read('framePitch', 0.2 * DEG, null, 'now')],
      read('wheelLimit', 690),
      ...more,
    ],
  };
}
const solved = <K extends TandemKind>(
  kind: K,
  changes: PlannedTandemChange[] = [],
  more: SheetReading<TandemPoint>[] = [],
) => {
  const { input, missing } = assembleTandem(sheet(kind, changes, more));
  expect(missing).toEqual([]);
  const made = predictCentral(
    (kind === 'tandemEqualizer' ? TANDEM_EQUALIZER : TANDEM_SLIPPER) as typeof TANDEM_EQUALIZER,
    input as never,
  );
  for (;;) {
    const { done, value } = made.next();
    if (done) return { input, left: value.sides.left! };
  }
};

test('the handbook by hand: rate and stress of four leaves on equal halves', () => {
  const spring = { leaves: 4, full: 1, width: 50, thickness: 8, outer: 400, inner: 400, rateFactor: 1 };
  // k = E b t³ (2·3 + 3·1)/(6 L³), σ = 18 W L/(b t² (2·3 + 3·1)) with W half of the load.
  expect(seatRate(spring, 0)).toBeCloseTo((206_800 * 50 * 512 * 9) / (6 * 400 ** 3), 9);
  expect(seatStress(spring, 0, 6000)).toBeCloseTo((18 * 3000 * 400) / (50 * 64 * 9), 9);
});

test('the day’s readings come back: tilt, arches, share by the arms, and both axles’ wheels carry the axles’ load', () => {
  const { left } = solved('tandemEqualizer');
  const now = left.states[0]!.old!;
  expect(now.swing! / DEG).toBeCloseTo(4, 6);
  expect([now.front.arch, now.rear.arch]).toEqual([expect.closeTo(52, 6), expect.closeTo(49, 6)]);
  expect(now.share).toBeCloseTo(125 / 240, 9);
  expect(2 * (now.front.wheel + now.rear.wheel)).toBeCloseTo(1600, 6);
  // A heavier load stands lower by what both springs give.
  const full = left.states[1]!;
  const extra = ((full.old!.load - now.load) / 2) * (1 / now.each);
  expect(full.beforeHere! - 210).toBeCloseTo(-extra, 0);
});

test('every change does what its sizes say: riser whole, shackle and slipper by the spring’s reach, rocker by its arms', () => {
  const change = (...changes: PlannedTandemChange[]) => solved('tandemEqualizer', changes).left.states[0]!;
  // With unequal arms the frame's pitch, which follows its height over the coupling, adds a little.
  expect(Math.abs(change({ kind: 'riser', height: 50 }).change - 50)).toBeLessThan(0.3);
  const shackle = solved('tandemEqualizer', [{ kind: 'shackle', length: 80 }], [read('pairShackle', 60)]).left
    .states[0]!;
  expect(Math.abs(shackle.change - (20 * 330) / 655)).toBeLessThan(0.1);
  const turned = change({ kind: 'rocker', front: 125, rear: 115, below: 0 });
  expect(turned.built!.share).toBeCloseTo(115 / 240, 9);
  const over = change({ kind: 'overAxle', height: 20 });
  // Tube, pack, old perch and new one: 60 + 26 + 15 + 20, the first and the third assumed.
  expect(Math.abs(over.change - (60 + 26 + 15 + 20))).toBeLessThan(0.6);
  const raised = change({ kind: 'hitch', by: 84 });
  expect(Math.abs(raised.change)).toBeLessThan(0.5);
  expect(raised.built!.share).toBeCloseTo(125 / 240, 9);
  expect(raised.built!.pitch / DEG).toBeCloseTo(0.2 - 0.02 / DEG, 2);
});

test('other springs: free arch less what the load takes of each, and the arch they then have', () => {
  const spring = { leaves: 5, full: 1, width: 45, thickness: 7, outer: 330, inner: 325, free: 95 } as const;
  const { left } = solved('tandemEqualizer', [{ kind: 'springs', ...spring, used: false, source: 'measured' }]);
  const { built, old, change } = left.states[0]!;
  expect(built!.front.arch).toBeCloseTo(95 - built!.front.load / built!.each, 9);
  const mean = (f: typeof built) => (f!.front.arch + f!.rear.arch) / 2;
  expect(Math.abs(change - (mean(built) - mean(old)))).toBeLessThan(0.1);
});

test('on slippers a raised coupling moves load to the rear axle, on a rocker it moves none; the plan from one to the other does both', () => {
  const plain = { leaves: 4, full: 1, width: 45, thickness: 6.5, outer: 330, inner: 325, free: 85 } as const;
  const converted: PlannedTandemChange[] = [
    { kind: 'springs', ...plain, used: false, source: 'catalogue' },
    { kind: 'slipper', drop: 110 },
  ];
  const level = solved('tandemEqualizer', converted).left.states[0]!.built!;
  const raised = solved('tandemEqualizer', [...converted, { kind: 'hitch', by: 84 }]).left.states[0]!.built!;
  expect(level.swing).toBeNull();
  // Δ = k θ · spacing a side, k of spring and tyre in series, half of it off one axle and onto the other.
  const series = 1 / (1 / level.each + 1 / 250);
  expect(level.front.load - raised.front.load).toBeCloseTo((series * 0.02 * 840) / 2, -1);
  const slippers = solved(
    'tandemSlipper',
    [],
    [read('frontAxleLoad', 900, null, 'now'), read('rearAxleLoad', 700, null, 'now')],
  );
  expect(slippers.left.states[0]!.old!.share).toBeCloseTo((900 - 70) / (1600 - 140), 9);
});

test('the order of a plan’s lines does not matter, and slippers take the place of shackles and rocker', () => {
  const lines: PlannedTandemChange[] = [
    { kind: 'shackle', length: 90 },
    {
      ...{ kind: 'springs', leaves: 5, full: 1, width: 45, thickness: 8, outer: 330, inner: 325, free: 90 },
      ...{ used: false, source: 'catalogue' },
    },
    { kind: 'rocker', front: 120, rear: 120, below: 10 },
    { kind: 'riser', height: 20 },
    { kind: 'hitch', by: -40 },
  ];
  const slipper: PlannedTandemChange = { kind: 'slipper', drop: 118 };
  const end = (changes: PlannedTandemChange[]) => solved('tandemEqualizer', changes).left.states[1]!.after!;
  expect(end(lines.toReversed())).toBeCloseTo(end(lines), 9);
  const [shackle, springs, rocker, ...rest] = lines as [PlannedTandemChange, PlannedTandemChange, PlannedTandemChange];
  const both = [shackle, springs, slipper, rocker, ...rest];
  expect(end(both)).toBeCloseTo(end([springs, slipper, ...rest]), 9);
  expect(end(both.toReversed())).toBeCloseTo(end(both), 9);
});

test('a second load teaches the rate: the frame that went down less stands on stiffer springs', () => {
  const soft = solved('tandemEqualizer').left.states[1]!.beforeHere!;
  const taught = solved('tandemEqualizer', [], both('hubToLip', 210 - (210 - soft) * 0.8, 'full'));
  const each = taught.left.states[0]!.old!.each;
  const plain = solved('tandemEqualizer').left.states[0]!.old!.each;
  // 2 mm of tape on so little way teach a little only.
  expect(each / plain).toBeGreaterThan(1.02);
  expect(each / plain).toBeLessThan(1.25);
  const odd = solved('tandemEqualizer', [], both('hubToLip', 209, 'full'));
  expect(odd.left.unfit).toMatch(/does not belong/);
});

test('a tyre over its load is a stop, an unasked one is not checked; ends with eyes do not go on slippers', () => {
  const state = solved('tandemEqualizer').left.states[1]!.built!;
  const asked = { apart: false, converted: false, otherSprings: false, wheelLimit: state.front.wheel - 10 };
  const row = (rows: ReturnType<typeof pairChecks>, item: string) => rows.find((r) => r.item === item)?.state;
  expect(row(pairChecks(asked, [state]), 'pairTyres')).toBe('does not fit');
  expect(row(pairChecks({ ...asked, wheelLimit: null }, [state]), 'pairTyres')).toBe('not checked');
  expect(row(pairChecks({ ...asked, apart: true, converted: true }, [state]), 'pairEnds')).toBe('does not fit');
  expect(row(pairChecks(asked, []), 'pairSwing')).toBe('not checked');
  // On slippers the holes are told that set the springs level.
  const sloped = (slope: number) =>
    pairChecks({ ...asked, apart: true }, [{ ...state, slope }]).find((r) => r.item === 'pairLevel')!;
  expect(sloped(12).state).toBe('fits');
  expect(sloped(35)).toMatchObject({ state: 'look', text: expect.stringContaining('holes that much higher') });
});

test('ways: the shelf’s parts ranked by the wish, springs that do not suit left out, the rocker turned round among them', () => {
  const { input } = assembleTandem(sheet('tandemEqualizer'));
  const part = (id: string, what: PairPart['what'], price = 40): PairPart => ({
    id,
    name: id,
    price,
    days: 0,
    used: false,
    what,
  });
  const springs = {
    kind: 'springs',
    leaves: 5,
    full: 1,
    width: 45,
    thickness: 6.5,
    front: 330,
    rear: 325,
    free: 92,
    plainEnd: false,
  } as const;
  const ways = pairWays(
    input,
    [
      part('five', springs),
      part('wide', { ...springs, width: 60 }),
      part('plain', { ...springs, plainEnd: true }),
      part('long', { kind: 'shackle', length: 90, inside: 48 }),
      part('narrow', { kind: 'shackle', length: 90, inside: 40 }),
      part('boxes', { kind: 'slipper', drop: 120, inside: 48 }),
    ],
    { stateId: 'full', change: 25 },
  );
  const ids = ways.map((w) => w.id);
  expect(new Set(ids)).toEqual(new Set(['turned', 'five', 'long', 'five+long', 'plain+boxes']));
  const good = ways.filter((w) => w.checks.every((c) => c.state !== 'does not fit'));
  expect(good.map((w) => Math.abs(w.off))).toEqual(good.map((w) => Math.abs(w.off)).toSorted((p, q) => p - q));
  expect(ways.find((w) => w.id === 'five')!.price).toBe(160);
});
