import fc from 'fast-check';
import {
  done,
  flipped,
  laidOut,
  packMass,
  redone,
  take,
  undone,
  type BenchLeaf,
  type BenchPack,
  type BenchStep,
} from './benchPack';
import { BenchSpring, openGaps, solvable } from './figures';
import { leafTemplate } from './template';
import { mixVerdicts, type MixRule, type MixVerdict } from './verdicts';
import { packDifferences } from './compare';
import { PackSolver } from '../mechanics/leafpack/solve';
import { SPRING_STEEL_E } from '../material/steel';

const leaf = (id: string, front: number, rear: number, more: Partial<BenchLeaf> = {}): BenchLeaf => ({
  id,
  front,
  rear,
  width: 60,
  thickness: 8,
  camber: null,
  eyes: 'none',
  ends: 'square',
  clip: false,
  hole: 10,
  from: 'own',
  used: false,
  toMake: false,
  broken: null,
  ...more,
});

const pack = (leaves: BenchLeaf[], more: Partial<BenchPack> = {}): BenchPack => ({
  name: 'own',
  leaves,
  freeArch: 105,
  eyeForm: 'upturned',
  eyeBore: 36,
  boltFront: 'M14',
  boltRear: 'M14',
  centreBolt: 10,
  rate: null,
  rating: 800,
  ...more,
});

const whole = () =>
  pack([
    leaf('a', 600, 640, { eyes: 'both' }),
    leaf('b', 500, 530, { clip: true }),
    leaf('c', 390, 410),
    leaf('d', 260, 275, { clip: true }),
  ]);

const stepArb: fc.Arbitrary<BenchStep> = fc.oneof(
  fc.record({
    kind: fc.constant('move' as const),
    leaf: fc.constantFrom('a', 'b', 'c', 'd', 'x1'),
    to: fc.integer({ min: -1, max: 8 }),
  }),
  fc.record({ kind: fc.constant('flip' as const), leaf: fc.constantFrom('a', 'b', 'c', 'd') }),
  fc.record({
    kind: fc.constant('shorten' as const),
    leaf: fc.constantFrom('a', 'b', 'c', 'd'),
    end: fc.constantFrom('front' as const, 'rear' as const),
    to: fc.integer({ min: 20, max: 650 }),
  }),
  fc.record({
    kind: fc.constant('thickness' as const),
    leaf: fc.constantFrom('a', 'c', 'd'),
    to: fc.integer({ min: 1, max: 14 }),
  }),
  fc.record({ kind: fc.constant('remove' as const), leaf: fc.constantFrom('b', 'c', 'd', 'x2') }),
  fc.record({ kind: fc.constant('clip' as const), leaf: fc.constantFrom('b', 'c'), to: fc.boolean() }),
  fc
    .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 60, max: 580 }))
    .map(([n, front]) => ({ kind: 'insert' as const, leaf: leaf(`x${n}`, front, front + 10) })),
  fc.record({
    kind: fc.constant('break' as const),
    leaf: fc.constantFrom('b', 'c'),
    broken: fc.constantFrom(null, { end: 'front' as const, at: 120 }),
  }),
);

test('two hundred steps undone give what lay there at first, and done again what lay there at last', () => {
  fc.assert(
    fc.property(fc.array(stepArb, { minLength: 200, maxLength: 200 }), (steps) => {
      const start = whole();
      const snapshot = structuredClone(start);
      let bench = laidOut(start);
      for (const step of steps) {
        try {
          bench = done(bench, step);
        } catch {
          // What cannot be done leaves the pack as it lies.
        }
      }
      const last = structuredClone(bench.now);
      const count = bench.past.length;
      for (let k = 0; k < count; k++) bench = undone(bench);
      expect(bench.now).toEqual(snapshot);
      expect(undone(bench)).toBe(bench);
      for (let k = 0; k < count; k++) bench = redone(bench);
      expect(bench.now).toEqual(last);
      expect(redone(bench)).toBe(bench);
    }),
    { numRuns: 40 },
  );
});

test('a leaf is laid in where its length belongs, turned end for end, and cut only shorter', () => {
  const inserted = take(whole(), { kind: 'insert', leaf: leaf('x', 430, 450) });
  expect(inserted.leaves.map((l) => l.id)).toEqual(['a', 'b', 'x', 'c', 'd']);
  expect(flipped(flipped(leaf('x', 430, 450, { eyes: 'front' })))).toEqual(leaf('x', 430, 450, { eyes: 'front' }));
  const cut = take(whole(), { kind: 'shorten', leaf: 'a', end: 'front', to: 480 });
  expect(cut.leaves[0]).toMatchObject({ front: 480, rear: 640, eyes: 'rear' });
  expect(() => take(whole(), { kind: 'shorten', leaf: 'c', end: 'front', to: 391 })).toThrow(/not made longer/);
  expect(() => take(whole(), { kind: 'flip', leaf: 'z' })).toThrow(/not in the pack/);
});

const states = (p: BenchPack, was = whole()): Partial<Record<MixRule, MixVerdict['state']>> =>
  Object.fromEntries(mixVerdicts(p, was, null).map((v) => [v.item, v.state]));

test.each<[string, (p: BenchPack) => BenchPack, MixRule, MixVerdict['state']]>([
  [
    'a wider leaf',
    (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { width: 67 }) }),
    'width',
    'does not fit',
  ],
  [
    'a leaf of unknown width',
    (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { width: null }) }),
    'width',
    'not checked',
  ],
  ['a longer leaf below', (p) => take(p, { kind: 'move', leaf: 'b', to: 2 }), 'order', 'does not fit'],
  [
    'a leaf missing in the middle',
    (p) => take(take(p, { kind: 'remove', leaf: 'b' }), { kind: 'remove', leaf: 'c' }),
    'step',
    'look',
  ],
  [
    'an eye left on a lower leaf',
    (p) => take(p, { kind: 'insert', leaf: leaf('x', 590, 630, { eyes: 'both' }) }),
    'eyes',
    'does not fit',
  ],
  [
    'a hole too small',
    (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { hole: 8 }) }),
    'hole',
    'does not fit',
  ],
  ['a hole too large', (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { hole: 13 }) }), 'hole', 'look'],
  [
    'a hole nobody measured',
    (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { hole: null }) }),
    'hole',
    'not checked',
  ],
  ['an unknown centre bolt', (p) => ({ ...p, centreBolt: null }), 'centreBolt', 'not checked'],
  [
    'no clip',
    (p) => take(take(p, { kind: 'clip', leaf: 'b', to: false }), { kind: 'clip', leaf: 'd', to: false }),
    'clips',
    'look',
  ],
  ['the bottom leaf without a clip', (p) => take(p, { kind: 'clip', leaf: 'd', to: false }), 'bottomClip', 'look'],
  [
    'a broken leaf',
    (p) => take(p, { kind: 'break', leaf: 'c', broken: { end: 'front', at: 100 } }),
    'whole',
    'does not fit',
  ],
  ['new on used', (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450, { used: true }) }), 'age', 'look'],
  ['one leaf more', (p) => take(p, { kind: 'insert', leaf: leaf('x', 430, 450) }), 'uBolts', 'look'],
  ['the main leaf gone', (p) => take(p, { kind: 'remove', leaf: 'a' }), 'main', 'does not fit'],
  ['cambers nobody measured', (p) => p, 'curve', 'not checked'],
])('%s is judged', (_, change, rule, state) => {
  expect(states(change(whole()))[rule]).toBe(state);
});

test('a sound pack of known leaves fits by every rule', () => {
  const nested = [118, 82, 49.5, 22.4];
  const sound = { ...whole(), leaves: whole().leaves.map((l, k) => ({ ...l, camber: nested[k]! })) };
  for (const verdict of mixVerdicts(sound, sound, null)) expect(verdict).toMatchObject({ state: 'fits' });
});

test('a pack known only by its free arch stands at that arch on the bench, whatever its eyes', () => {
  for (const eyeForm of ['upturned', 'berlin', 'downturned'] as const) {
    const spring = new BenchSpring({ ...whole(), eyeForm });
    // The tape reads to the top face, the core to the middle; the pin lies 20 mm off the middle, where the arc is less deep by κ·20²/2.
    const less = (solvable({ ...whole(), eyeForm }).pack.leaves[0]!.curvature * 20 ** 2) / 2;
    expect(Math.abs(spring.at(0, 0).freeArch + less - (105 + 4))).toBeLessThan(0.05);
    expect(spring.at(0, 0).assumed).toContain('camber');
  }
});

test('a flat leaf under a curved one stands off at its tip by what the curve rises there', () => {
  const R = 1800;
  const main = { front: 600, rear: 600, width: 60, thickness: 8, curvature: 1 / R };
  const flat = { front: 400, rear: 400, width: 60, thickness: 8, curvature: 0 };
  const solver = new PackSolver({
    leaves: [main, flat],
    clamp: { kind: 'bolt' },
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: 0, rear: 0 },
    friction: 0,
  });
  const [gap] = openGaps(solver, solver.onRollers(0));
  // Distance from the flat leaf's tip to the circle of the main leaf, between facing surfaces.
  const expected = Math.abs(R - Math.hypot(400, R + 8)) - 8;
  expect(gap!.gap).toBeCloseTo(Math.abs(expected), 1);
  const nested = new PackSolver({ ...solver.pack, leaves: [main, { ...flat, curvature: 1 / (R + 8) }] });
  expect(openGaps(nested, nested.onRollers(0))).toEqual([]);
});

test('one leaf more makes a stiffer and heavier pack, a broken one a softer pack', () => {
  const base = new BenchSpring(whole()).at(4000, 8000);
  const more = take(whole(), { kind: 'insert', leaf: leaf('x', 450, 470) });
  const stiffer = new BenchSpring(more).at(4000, 0);
  const broken = new BenchSpring(take(whole(), { kind: 'break', leaf: 'b', broken: { end: 'rear', at: 90 } })).at(
    4000,
    0,
  );
  expect(stiffer.rate).toBeGreaterThan(base.rate * 1.1);
  expect(broken.rate).toBeLessThan(base.rate * 0.95);
  expect(packMass(more)! - packMass(whole())!).toBeCloseTo(7.85e-6 * 60 * 8 * 920, 6);
  const arches = base.curve.map((p) => p.arch);
  expect(arches).toEqual(arches.toSorted((p, q) => q - p));
  const rows = packDifferences(whole(), more, { one: base, other: stiffer });
  expect(rows.find((r) => r.what === 'thickness')).toMatchObject({ one: 32, other: 40, difference: 8, look: true });
  expect(rows.find((r) => r.what === 'eyes')).toMatchObject({ look: false });
});

test('clips go to the solver with the leaf they hold', () => {
  expect(solvable(whole()).pack.clips).toHaveLength(4);
  expect(() => solvable({ ...whole(), freeArch: null })).toThrow(/free arch/);
});

/** Area inside a closed outline, by the shoelace rule. */
const area = (points: { x: number; y: number }[]): number =>
  points.reduce((sum, p, k) => {
    const q = points[(k + 1) % points.length]!;
    return sum + (p.x * q.y - q.x * p.y) / 2;
  }, 0);

test('a template has the leaf’s area, less four corners when it is trimmed', () => {
  expect(area(leafTemplate(leaf('a', 300, 400)).outline)).toBeCloseTo(700 * 60, 6);
  const corner = (0.4 * 60 * 0.25 * 60) / 2;
  expect(area(leafTemplate(leaf('a', 300, 400, { ends: 'trimmed' })).outline)).toBeCloseTo(700 * 60 - 4 * corner, 6);
  expect(area(leafTemplate(leaf('a', 300, 400, { ends: 'trimmed', eyes: 'rear' })).outline)).toBeCloseTo(
    700 * 60 - 2 * corner,
    6,
  );
  expect(() => leafTemplate(leaf('a', 300, 400, { width: null }))).toThrow(/width/);
});
