import fc from 'fast-check';
import { type Uniform } from '../../estimate/estimate';
import { draw } from '../../estimate/tree';
import { finish } from '../../finish';
import { GRAVITY, SPRING_STEEL_LIMITS } from '../../material/steel';
import { type Side } from '../../vehicle/side';
import { bandsOfAxle, predictAxle } from '../solvers';
import { assembleCross, planned, type CrossAxleSheet, type PlannedCrossChange } from './assemble';
import { crossConsistency } from './consistency';
import { type CrossAxleInput } from './input';
import { CROSS_SHEET, type CrossPoint } from './points';
import { CrossSideModel } from './sideModel';
import { taughtCross } from './taught';
import { crossRefusal, crossWays, type CrossPart } from './ways';

/** An invented cart: three leaves of 45 × 6.5, halves of 380, 210 kg on the axle. */
function sheet(
  more: Partial<Record<CrossPoint, number | [number, number]>> = {},
  changes: PlannedCrossChange[] = [],
): CrossAxleSheet {
  const read = {
    ...{ axleLoad: 210, unsprungMass: 25, crossLeaves: 3, crossWidth: 45, crossThickness: 6.5, crossClamp: 90 },
    ...{ crossHalf: [380, 380], crossDrop: [58, 55], hubToLip: [262, 259] },
    ...{ upperArm: 210, kingpinLength: 120, upperSlope: 0.05, ...more },
  } as Partial<Record<CrossPoint, number | [number, number]>>;
  const row = (point: string, value: number, side: Side | null) => ({
    ...{ point: point as CrossPoint, phase: 'before' as const, side, leafId: null, value, rolled: true },
    stateId: CROSS_SHEET[point as CrossPoint].loaded ? 'today' : null,
  });
  return {
    axle: { position: 'front', axleClass: 'cartFront' },
    wheelbase: 1660,
    readings: Object.entries(read).flatMap(([point, value]) =>
      Array.isArray(value) ? [row(point, value[0], 'left'), row(point, value[1], 'right')] : [row(point, value, null)],
    ),
    states: [
      { id: 'today', name: 'today', addedMass: 0, station: 0 },
      { id: 'laden', name: 'two aboard', addedMass: 160, station: 830 },
    ],
    changes,
  };
}
const SPRING: PlannedCrossChange = {
  ...{ kind: 'crossSpring', leaves: 4, full: 1, width: 45, thickness: 6.5, half: 380, shortest: 120 },
  ...{ free: 96, used: false, source: 'measured' },
};
const SPINDLES: PlannedCrossChange = { kind: 'spindles', left: 50, right: 50 };
const model = (input: CrossAxleInput, side: Side = 'left') =>
  new CrossSideModel(
    draw(input, (e) => e.value),
    side,
  );
let turn = 0.137;
const even: Uniform = () => (turn = (turn * 9301 + 0.2113) % 1);

test('nothing changed it stands where it was read; each half bears its own load; a laden one stands lower', () => {
  const { input, missing } = assembleCross(sheet());
  expect(missing).toEqual([]);
  const now = model(input);
  const today = now.figures([], 0)!;
  expect(today.drop).toBeCloseTo(58, 3);
  expect(today.load).toBeCloseTo(((210 - 25) / 2) * GRAVITY, 0);
  expect(now.rise([], 0) - now.rise([], 300)).toBeGreaterThan(4);
  expect(today.camber).toBeCloseTo(0, 9);
  // The shorter leaves lie on the main leaf, and its end is the eye.
  expect(today.leaves.map(({ y }) => Math.round(100 * y[0]!) / 100)).toEqual([-16.25, -9.75, -3.25]);
  expect(today.leaves[0]!.y.at(-1)).toBeCloseTo(-3 * 6.5 - 58, 2);
  expect(today.eye.y).toBeCloseTo(-3 * 6.5 - 58, 3);
});

test('property: spindles move their own side by their own figure, whatever order and whatever else is changed', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -60, max: 120 }),
      fc.integer({ min: -60, max: 120 }),
      fc.boolean(),
      (left, right, other) => {
        const spindles: PlannedCrossChange = { kind: 'spindles', left, right };
        const set = other ? [SPRING, spindles] : [spindles];
        const { input } = assembleCross(sheet({}, set));
        const turned = assembleCross(sheet({}, set.toReversed())).input;
        const bare = assembleCross(sheet({}, other ? [SPRING] : [])).input;
        for (const side of ['left', 'right'] as const) {
          const at = (of: CrossAxleInput) =>
            model(of, side).rise(
              draw(of.changes, (e) => e.value),
              120,
            );
          expect(at(input) - at(bare)).toBeCloseTo(side === 'left' ? left : right, 9);
          expect(at(turned)).toBeCloseTo(at(input), 9);
        }
      },
    ),
    { numRuns: 12 },
  );
});

test('readings changed over give predictions changed over, through the ledger and with bands', () => {
  const one = assembleCross(sheet({ crossHalf: [380, 384] }, [SPRING, SPINDLES])).input;
  const two = assembleCross(
    sheet({ crossHalf: [384, 380], crossDrop: [55, 58], hubToLip: [259, 262] }, [SPRING, SPINDLES]),
  ).input;
  const [a, b] = [finish(predictAxle(one)), finish(predictAxle(two))];
  for (const [side, mirrored] of [
    ['left', 'right'],
    ['right', 'left'],
  ] as const) {
    const [p, q] = [a.sides[side]!.states, b.sides[mirrored]!.states];
    p.forEach((state, k) => expect(state.after).toBeCloseTo(q[k]!.after!, 6));
    const lines = p[0]!.ledger;
    const total = lines.findIndex((line) => line.kind === 'total');
    expect(lines.slice(0, total).reduce((sum, line) => sum + line.value, 0)).toBeCloseTo(lines[total]!.value, 9);
  }
  const bands = finish(bandsOfAxle(one, a, even, 300));
  expect(bands.left![0]!.half).toBeGreaterThanOrEqual(3);
  expect(bands.left![0]!.half).toBeLessThan(30);
});

test('a broken leaf carries nothing: the rest is softer; a broken main leaf is refused, and nothing is made up', () => {
  const whole = model(assembleCross(sheet()).input).figures([], 0)!;
  const broken = model(assembleCross(sheet({ crossBroken: 3 })).input).figures([], 0)!;
  expect(broken.rate).toBeLessThan(0.93 * whole.rate);
  expect(broken.leaves).toHaveLength(2);
  const main = assembleCross(sheet({ crossBroken: 1 }));
  expect(main.refused.map((r) => r.side)).toEqual(['left', 'right']);
  expect(main.input.sides.left.spring).toBeNull();
  const { missing, input } = assembleCross({ ...sheet(), readings: [] });
  expect(missing.map((m) => m.point)).toEqual([
    ...['crossLeaves', 'crossWidth', 'crossThickness', 'crossHalf', 'axleLoad'],
  ]);
  expect(model(input).rise([draw(planned(SPINDLES), (e) => e.value)], 0)).toBe(50);
});

test('a second load teaches the rate; one that fits no such spring is told', () => {
  const given = sheet();
  const { input } = assembleCross(given);
  const sunk = model(input).rise([], 0) - model(input).rise([], (80 * GRAVITY) / 2);
  const second = (lower: number): CrossAxleSheet => ({
    ...given,
    readings: [
      ...given.readings,
      {
        ...{ point: 'hubToLip', phase: 'before', side: 'left', leafId: null, stateId: 'laden', rolled: true },
        value: 262 - lower,
      },
    ],
  });
  // The driver's place stands midway between the axles: half of 160 kg comes onto this one.
  const agrees = taughtCross(assembleCross(second(sunk)).input, 'left').input.spring!.rateFactor;
  expect(agrees.value).toBeCloseTo(1, 3);
  expect(agrees.half90).toBeLessThan(0.06);
  const softer = taughtCross(assembleCross(second(1.3 * sunk)).input, 'left').input.spring!.rateFactor;
  expect(softer.value).toBeLessThan(1);
  expect(crossConsistency(second(3 * sunk)).map((f) => f.rule)).toEqual(['crossRate']);
});

test('where its steel ends: pressed down to there the worst leaf stands at the limit of full bump', () => {
  const now = model(assembleCross(sheet()).input);
  const end = now.ends([])[0]!;
  expect(end.id).toBe('packLimit');
  // By load and sizes against full bump, or the solved peak against yield, whichever comes first.
  const used = (extra: number) => {
    const { nominalStress, peakStress } = now.figures([], extra)!;
    return Math.max(
      ...nominalStress.map((v) => v / SPRING_STEEL_LIMITS.bump),
      ...peakStress.map((v) => v / SPRING_STEEL_LIMITS.yield),
    );
  };
  let [low, high] = [0, 20_000];
  for (let k = 0; k < 25; k++) {
    const middle = (low + high) / 2;
    if (now.rise([], middle) > end.rise) low = middle;
    else high = middle;
  }
  expect(used(low)).toBeGreaterThan(0.95);
  expect(used(low)).toBeLessThan(1.05);
  expect(now.rise([], 0)).toBeGreaterThan(end.rise + 20);
});

test('readings that do not go together are pointed out, and a plain sheet has nothing', () => {
  const rules = (more: Parameters<typeof sheet>[0]) => crossConsistency(sheet(more)).map((f) => f.rule);
  expect(rules({})).toEqual([]);
  expect(rules({ hubToLip: [290, 259] })).toEqual(['crossSides', 'crossHeight']);
  expect(rules({ crossBroken: 5 })).toContain('crossLeaf');
  expect(rules({ crossShort: 420 })).toContain('crossSteps');
});

test('ways: what does not sit in the clamp, or is not known, is never offered; spindles meet a wish by themselves', () => {
  const part = (id: string, what: CrossPart['what']): CrossPart => ({
    ...{ id, name: id, price: 40, days: 0, used: false, what },
  });
  const pack = { ...SPRING, kind: 'crossSpring' as const, front: 380, rear: 380 };
  const parts = [
    part('four', pack),
    part('long', { ...pack, front: 400, rear: 400 }),
    part('fifty', { kind: 'spindles', drop: 50 }),
    part('beam', { kind: 'dropAxle', drop: 80 }),
  ];
  const { input } = assembleCross(sheet());
  const ways = crossWays(input, parts, { stateId: 'today', change: 50 });
  expect(ways.map((w) => w.id).toSorted()).toEqual(['fifty', 'four', 'four+fifty']);
  expect(ways[0]).toMatchObject({ id: 'fifty', price: 80, off: expect.closeTo(0, 6) as number });
  const at = { spring: input.spring!, half: 380, beam: true };
  expect(crossRefusal(parts[1]!, at)).toContain('reach');
  expect(crossRefusal(parts[3]!, at)).toBeNull();
  expect(crossRefusal(part('free', { ...pack, free: null }), at)).toContain('free arch');
  // Spindles do not tilt the wheels, whatever is aboard.
  expect(ways[0]!.checks.find((c) => c.item === 'crossCamber')?.state).toBe('fits');
});
