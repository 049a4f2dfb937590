import fc from 'fast-check';
import { worstFirst } from '../verdict';
import { besideRows, type BesideFacts, type BesideItem, type Besides } from './besides';
import { type BesideRead } from './readRow';
import { shaftEnds } from './shaft';
import { hubDrop } from '../travel/hubTravel';

const DEGREE = Math.PI / 180;
const NO_FACTS: BesideFacts = { lift: null, noseUp: undefined, hangs: null, up: null, rate: null };
const BARE: Besides = {
  read: {},
  bushes: { eyes: { front: 40, rear: 40 }, halves: { front: 600, rear: 640 }, kind: null },
  stack: { arrangement: 'over', dowel: 14, block: null, wedge: null },
  clamped: { thread: null, torque: null, lubrication: 'notKnown', heaviest: null },
  stands: { hubToHub: { left: null, right: null }, wheelbase: 3000, wider: 0, width: null, drives: true },
  steered: true,
  driven: true,
};
const row = (
  item: BesideItem,
  read: BesideRead,
  facts: Partial<BesideFacts> = {},
  more: Partial<Besides> = {},
  position: 'front' | 'rear' = 'front',
) => besideRows({ ...BARE, ...more, read }, position, { ...NO_FACTS, ...facts }).find((r) => r.item === item)!;

test('nobody read anything: every row waits and says for what, none is called fitting', () => {
  const rows = besideRows(BARE, 'front', NO_FACTS);
  expect(rows.map((r) => r.state)).toEqual(rows.map(() => 'not checked'));
  expect(
    rows.flatMap((r) => (r.item === 'headlamps' || r.item === 'clamped' || r.wants.length > 0 ? [] : [r.item])),
  ).toEqual([]);
});

// Common practice: a sixteen-millimetre bolt does not go into a five-eighths sleeve, and a hanger too wide is taken up by a washer.
test('a bolt a hair too thick stops; a part that was read alone is told alone; what presses it is told', () => {
  const read = { frontShell: 40.15, frontSleeve: 15.875, frontBolt: 16, frontLength: 66, frontInside: 66.5 };
  const front = row('bushFront', read);
  expect(front).toMatchObject({ state: 'does not fit', wants: [] });
  expect(front.text).toBe(
    '0.15 mm over; the bolt is 0.13 mm too thick for its sleeve; 0.50 mm to close. Press it with up to 39 mm across, into something wider than 43 mm.',
  );
  const half = row('bushRear', { rearLength: 66, rearInside: 68.2 });
  expect(half).toMatchObject({ state: 'look', wants: ['rearShell', 'rearSleeve', 'rearBolt'] });
  expect(half.text).toContain('2.20 mm to close: a spacer washer');
  // Two halves that are pushed in by hand need no press.
  expect(row('bushFront', read, {}, { bushes: { ...BARE.bushes!, kind: 'turns' } }).text).not.toContain('Press');
});

test('bonded rubber: what tightening it hanging holds up is the moment of both eyes over half length and rate; a bush that turns is not asked', () => {
  const read = { frontShell: 43, frontSleeve: 16, frontLength: 66, rearShell: 43, rearSleeve: 16, rearLength: 66 };
  const bushes = { ...BARE.bushes!, kind: 'bonded' as const };
  const told = row('bushTwist', read, { hangs: 100, up: 60, rate: 40 }, { bushes });
  // By hand: r 11 and 20 mm, φ = 1.75 · 100 / 600 = 0.2917, M = φ · 4π · 66 · 0.85 / (1/121 − 1/400) = 35.7 N·m, over 600 and 640 mm
  // 59.5 + 52.3 N (the rear φ is 0.2734), over 40 N/mm = 2.8 mm. γ = 2φ / (1 − (11/20)²) = 84 %.
  expect(told.text).toContain('strained 84 % where it hangs');
  expect(told.text).toContain('by about 3 mm at first');
  expect(told.state).toBe('look');
  const turns = besideRows({ ...BARE, read, bushes: { ...bushes, kind: 'turns' } }, 'rear', NO_FACTS);
  expect(turns.some((r) => r.item === 'bushTwist')).toBe(false);
});

test('every joint has its pin in its hole, or the axle can walk: pin on pin, a hole too shallow, a wedge that swallows the head', () => {
  const pad = { dowelHeight: 8, padHole: 14.5, padDepth: 10 };
  expect(row('joints', pad)).toMatchObject({ state: 'fits' });
  expect(row('joints', { ...pad, padDepth: 6 }).text).toContain('the pin bottoms before the faces meet');
  expect(row('joints', { ...pad, padHole: 17 }).text).toContain('3.0 mm of play');
  const block = { stack: { ...BARE.stack!, block: 40 } };
  expect(row('joints', pad, {}, block)).toMatchObject({ state: 'not checked' });
  const piece = { ...pad, blockHole: 14.5, blockHoleDepth: 10, blockPin: 14, blockPinHeight: 8 };
  expect(row('joints', piece, {}, block)).toMatchObject({ state: 'fits' });
  expect(row('joints', { ...piece, blockPin: 0 }, {}, block)).toMatchObject({ state: 'does not fit' });
  const wedge = { stack: { ...BARE.stack!, wedge: 9 } };
  const swallowed = row('joints', { ...pad, wedgeHole: 14.5, wedgePin: 0 }, {}, wedge);
  expect(swallowed.state).toBe('does not fit');
  expect(swallowed.text).toContain('A longer head, or a wedge with a pin.');
  expect(row('joints', { ...pad, dowelHeight: 16, wedgeHole: 14.5, wedgePin: 0 }, {}, wedge)).toMatchObject({
    state: 'fits',
  });
});

// Common practice: an eighth to a quarter of an inch narrower in front on an eighteen-inch tyre is 0.40° to 0.80° of total toe.
test('toe: the mean of both halves of a turn, in degrees, and the turns that put it into the middle of what is asked for', () => {
  const inch = 25.4;
  const read = {
    ...{ treadFront: 1200, treadRear: 1200 + inch / 8, treadDiameter: 18 * inch },
    ...{ toeLeast: 0.4 * DEGREE, toeMost: 0.8 * DEGREE, steeringArm: 100, tieRodLead: 3 },
  };
  const eighth = row('toe', read);
  expect(eighth.figure!.value / DEGREE).toBeCloseTo(0.4, 2);
  const none = row('toe', { ...read, treadRear: 1200 });
  // 0.6° wanted, 100 mm · tan 0.6° = 1.05 mm, over 3 mm a turn.
  expect(none).toMatchObject({ state: 'look' });
  expect(none.text).toContain('0.3 turns of the tie rod');
  expect(none.text).toContain('Run-out is still in it');
  const rolled = row('toe', { ...read, treadFrontTurned: 1204, treadRearTurned: 1204 + (3 * inch) / 8 });
  expect(rolled.figure!.value / DEGREE).toBeCloseTo(0.8, 2);
  expect(rolled.half90).toBeLessThan(eighth.half90!);
});

test('the drag link: flat it pulls nothing, lifted it pulls the wheels off straight by the shortening of a leaning rod', () => {
  const read = { dragLink: 800, dragLinkSlope: 0, steeringArm: 160 };
  expect(row('dragLink', read, { lift: 0 })).toMatchObject({ state: 'fits' });
  const lifted = row('dragLink', read, { lift: 100 });
  // 800 − √(800² − 100²) = 6.27 mm over 160 mm = 2.25°; asin(100 / 800) = 7.2°.
  expect(lifted.text).toContain('will at 7.2°: it pulls the wheels 2.25° off straight');
  expect(row('dragLink', read, { lift: 200 }).text).toContain('steeper than 10°');
});

test('caster: the nose of the axle up leans the steering axis rearward, and out of what is asked for it is said by how much', () => {
  const read = { caster: 4 * DEGREE, casterLeast: 3 * DEGREE, casterMost: 5 * DEGREE };
  expect(row('caster', read, { noseUp: 0.5 * DEGREE })).toMatchObject({ state: 'fits' });
  const less = row('caster', read, { noseUp: -2 * DEGREE });
  expect(less).toMatchObject({ state: 'look' });
  expect(less.text).toContain('It becomes +2.0°: 1.0° too little');
});

test('four legs against braking: T over K·d, friction of the seat, and the loosest of ten', () => {
  const of = { thread: 'M14 x 1.5', torque: 115_000, lubrication: 'dry' as const, heaviest: 1200 };
  const told = row('clamped', {}, {}, { clamped: of });
  // 115 / (0.2 · 14 mm) = 41.1 kN, four legs at 0.16 = 26.3 kN; 0.8 · 600 kg · g = 4.7 kN.
  expect(told.text).toBe(
    'Friction holds about 26.3 kN on each side, the hardest braking asks 4.7 kN; also the loosest of ten holds.',
  );
  expect(row('clamped', {}, {}, { clamped: { ...of, torque: 12_000 } })).toMatchObject({ state: 'look' });
});

test('the shaft from hanging to the stop: a right triangle by hand, apart where the spline ends, bound where a joint ends', () => {
  const read = { outputSlope: 0, shaftSlope: 0, pinionSlope: 0, shaftLength: 1200 };
  const facts = { lift: 100, hangs: 150, up: 60 };
  // √(1200² + 250²) − 1200 = 25.8 mm, atan is asin(250 / 1200) = 12.0°.
  const free = row('shaftTravel', read, facts, {}, 'rear');
  expect(free).toMatchObject({ state: 'fits', wants: ['slipOut', 'slipIn', 'jointMost'] });
  expect(free.text).toContain('comes 26 mm out and goes 0 mm in, and a joint bends 12.0°');
  expect(row('shaftTravel', { ...read, slipOut: 20 }, facts, {}, 'rear')).toMatchObject({ state: 'does not fit' });
  expect(row('shaftTravel', { ...read, slipOut: 30, slipIn: 40 }, facts, {}, 'rear')).toMatchObject({ state: 'look' });
  expect(row('shaftTravel', { ...read, slipOut: 60, jointMost: 10 * DEGREE }, facts, {}, 'rear').text).toContain(
    'a joint bends 12.0° and binds at 10.0°',
  );
});

test('on the ruler: the sliding joint lets go where its length runs out, and nothing stands there that nobody read', () => {
  const read = { outputSlope: 0, shaftSlope: 0, pinionSlope: 0, shaftLength: 1200 };
  const of = { position: 'rear' as const, noseUp: undefined };
  expect(shaftEnds(read, of, hubDrop(0))).toEqual([]);
  // By hand: √(1200² + d²) − 1200 = 20 at d = 220; a joint bends 10° at 1200 · sin 10° = 208.
  const ends = shaftEnds({ ...read, slipOut: 20, jointMost: 10 * DEGREE }, of, hubDrop(40));
  expect(ends.map(({ id }) => id)).toEqual(['jointBinds', 'slipApart']);
  for (const [k, by] of [208.4, 220].entries()) expect(Math.abs(ends[k]!.at - by)).toBeLessThanOrEqual(1);
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: -60, max: 60 }), (slipOut, sits) => {
      const at = (out: number) =>
        shaftEnds({ ...read, shaftSlope: 0.1, slipOut: out }, of, hubDrop(sits))[0]?.at ?? 999;
      expect(at(slipOut + 10)).toBeGreaterThanOrEqual(at(slipOut));
    }),
  );
});

test('a figure typed wrong is told at its row and breaks no other; a shaft too short to reach stops', () => {
  const wrong = { treadFront: 1300, treadRear: 1500, treadDiameter: 700, toeLeast: 0, toeMost: 0.01 };
  expect(row('toe', wrong)).toMatchObject({ state: 'look' });
  expect(row('toe', wrong).text).toContain('do not go together');
  const short = { outputSlope: 0, shaftSlope: 0.1, pinionSlope: 0, shaftLength: 300 };
  expect(row('shaftTravel', short, { lift: 120, hangs: 200, up: 40 }, {}, 'rear')).toMatchObject({
    state: 'does not fit',
  });
});

// Common practice: pads two inches nearer together under hangers that stayed are an inch out on each side; a shackle offset by as much takes its end back.
test('pads and hangers: each side is out by half the difference, an offset shackle takes its own end back', () => {
  const moved = { padSpread: 44 * 25.4, hangerSpread: 46 * 25.4 };
  expect(row('padSpread', moved).text).toContain(
    '25 mm further in at the front hanger and 25 mm further in at the shackle',
  );
  expect(row('padSpread', { ...moved, shackleOffset: 25.4 }).text).toContain('at the front hanger and 0 mm');
  expect(row('tyreToSpring', { tyreToSpring: 40, wheelInward: 12, tyreWider: 20 }).figure!.value).toBe(18);
});

test('square, beam and side slope by their own geometry; mirrored it mirrors', () => {
  const stands = { ...BARE.stands, hubToHub: { left: 3010, right: 3000 } };
  const askew = row('square', { hubTrack: 1500 }, {}, { stands });
  expect(askew.figure!.value / DEGREE).toBeCloseTo(0.382, 3);
  expect(askew).toMatchObject({ state: 'look' });
  const mirrored = row(
    'square',
    { hubTrack: 1500 },
    {},
    { stands: { ...stands, hubToHub: { left: 3000, right: 3010 } } },
  );
  expect(mirrored.figure!.value).toBeCloseTo(-askew.figure!.value, 12);
  // 60 mm behind over 3 m: 200 mm on ten metres, down; in front up.
  expect(row('headlamps', {}, { lift: 60 }, {}, 'rear').text).toContain('falls by 200 mm');
  expect(row('headlamps', {}, { lift: 60 }).text).toContain('rises by 200 mm');
  // atan(600 / 600) = 45°, and with half of 100 mm more atan(600 / 650) = 42.7°.
  const slope = row('sideSlope', { hubTrack: 1200, massHeight: 600 }, { lift: 100 });
  expect(slope.text).toContain('at 45.0° across the slope as it came in, at 42.7° as planned');
  expect(slope).toMatchObject({ state: 'look' });
  expect(row('tyreToSpring', { tyreToSpring: 22 }, {}, { stands: { ...BARE.stands, wider: 20 } })).toMatchObject({
    state: 'look',
  });
  // Housing and pads both 50 narrower: wheel and spring come in alike; the straight hangers stand 25 further out until each carries in 25.
  const narrow = (hanger: number, shackle: number) => ({
    stands: { ...BARE.stands, width: { by: 50, pads: 1100, hanger, shackle } },
  });
  const pads = { padSpread: 1150, hangerSpread: 1150, tyreToSpring: 40 };
  expect(row('tyreToSpring', pads, {}, narrow(0, 0)).figure!.value).toBeCloseTo(40, 9);
  expect(row('padSpread', pads, {}, narrow(0, 0)).figure!.value).toBeCloseTo(25, 9);
  expect(row('padSpread', pads, {}, narrow(25, 0)).figure!.value).toBeCloseTo(25, 9);
  expect(row('padSpread', pads, {}, narrow(25, 25))).toMatchObject({ state: 'fits' });
  expect(row('axleShafts', pads, {}, narrow(25, 25)).text).toContain('25.0 mm shorter');
});

test('property: more lift never lays a drag link flatter, never makes a slope safer, and never turns a worse row better', () => {
  const lift = fc.double({ min: 0, max: 150, noNaN: true });
  fc.assert(
    fc.property(lift, lift, fc.double({ min: 0, max: 0.3, noNaN: true }), (p, q, slope) => {
      const [less, more] = [Math.min(p, q), Math.max(p, q)];
      const read = { dragLink: 700, dragLinkSlope: slope, steeringArm: 150, hubTrack: 1300, massHeight: 700 };
      for (const item of ['dragLink', 'sideSlope'] as const) {
        const [a, b] = [row(item, read, { lift: less }), row(item, read, { lift: more })];
        expect(b.figure!.margin).toBeLessThanOrEqual(a.figure!.margin + 1e-12);
        expect(worstFirst(b, a)).toBeLessThanOrEqual(0);
      }
    }),
  );
});
