import fc from 'fast-check';
import { SPRING_STEEL_E } from '../../material/steel';
import { nestedCurvatures, type Leaf, type Pack } from './pack';
import { PackSolver, rollerForces } from './solve';
import { ENDLESS, lifeBand, nominalStress, packLife, stressBudget, stressVerdict } from './stress';

const packOf = (leaves: readonly Leaf[], clips?: Pack['clips']): Pack => ({
  leaves,
  clamp: { kind: 'bolt' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0,
  ...(clips && { clips }),
});
const curvatures = nestedCurvatures(1 / 1900, [8, 8, 8]);
const leaves = curvatures.map((curvature, i): Leaf => ({
  front: 600 - 150 * i,
  rear: 600 - 150 * i,
  width: 70,
  thickness: 8,
  curvature,
}));

test('the budget finds the place of the peak and its share of both limits', () => {
  const [budget] = stressBudget([{ s: [-10, 0, 10], stress: [300, -500, 400], clamped: null }]);
  expect(budget).toMatchObject({ peak: -500, at: 0 });
  expect(budget!.ofStatic).toBeCloseTo(500 / 840, 9);
  expect(budget!.ofBump).toBeCloseTo(0.5, 9);
});

test('a loaded pack is bent to tension on top, and the stress falls to nothing at every free end', () => {
  const solver = new PackSolver(packOf(leaves));
  const shape = solver.onRollers(2500);
  const lines = solver.stressLines(rollerForces(2500, shape), shape);
  expect(lines).toHaveLength(3);
  for (const { stress } of lines) {
    expect(Math.abs(stress[0]!)).toBeLessThan(0.5);
    expect(Math.abs(stress.at(-1)!)).toBeLessThan(0.5);
  }
  for (const { peak } of stressBudget(lines)) expect(peak).toBeGreaterThan(100);
});

test('property: more swing never lasts longer, and the better surface never cracks first', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 700, noNaN: true }),
      fc.double({ min: 0, max: 500, noNaN: true }),
      fc.double({ min: 1, max: 200, noNaN: true }),
      (mean, swing, more) => {
        const band = lifeBand(mean - swing, mean + swing);
        const harder = lifeBand(mean - swing - more, mean + swing + more);
        expect(band.least).toBeLessThanOrEqual(band.most);
        expect(band.most).toBeLessThanOrEqual(ENDLESS);
        expect(harder.least).toBeLessThanOrEqual(band.least);
        expect(harder.most).toBeLessThanOrEqual(band.most);
      },
    ),
  );
});

test('a clip carries the lower leaves when the axle hangs: without it the main leaf hangs alone and several times lower', () => {
  const hanging = -400;
  const alone = new PackSolver(packOf(leaves));
  const clips = (['front', 'rear'] as const).map((end) => ({ end, at: 420, holds: 1, slack: 2 }));
  const clipped = new PackSolver(packOf(leaves, clips));
  const droop = (solver: PackSolver) => solver.onRollers(hanging).arch - solver.onRollers(0).arch;
  expect(droop(alone) / droop(clipped)).toBeGreaterThan(1.5);
  const shape = clipped.onRollers(hanging);
  expect(clipped.contacts('rear', shape).filter((c) => c.clip)).toHaveLength(1);
  // With the weight on, clips hang loose: the pack is the same.
  expect(clipped.onRollers(2500).arch).toBeCloseTo(alone.onRollers(2500).arch, 4);
});

test('a parabolic leaf bends like its textbook: δ = 2 P L³/(3 E I₀) for thickness falling to nothing, even stress', () => {
  // Cantilever of uniform strength, t = t₀√(1 − u/L): twice the tip deflection of an even one (Timoshenko, Strength of Materials).
  const L = 600;
  const taper = new PackSolver(
    packOf([{ front: L, rear: L, width: 70, thickness: 12, curvature: 0, tipThickness: 1 }]),
  );
  const P = 20;
  const shape = taper.onRollers(2 * P);
  const inertia = (70 * 12 ** 3) / 12;
  expect(-shape.arch / ((2 * P * L ** 3) / (3 * SPRING_STEEL_E * inertia))).toBeCloseTo(1, 1);
  const [line] = taper.stressLines(rollerForces(2 * P, shape), shape);
  const inner = line!.stress.filter((_, k) => line!.s[k]! > 60 && line!.s[k]! < 480);
  expect(Math.max(...inner) / Math.min(...inner)).toBeLessThan(1.03);
});

test('a liner, a tip pad and a spacer move the leaves apart as thick as they are; a broken leaf ends where it broke', () => {
  const free = (over: Partial<Leaf>) => {
    const solver = new PackSolver(packOf([leaves[0]!, { ...leaves[1]!, ...over }]));
    const shape = solver.onRollers(0);
    return { arch: shape.arch, contacts: solver.contacts('rear', shape) };
  };
  const plain = free({});
  // A pad at the tips props the main leaf up, so the eyes rise.
  expect(free({ tipPad: 3 }).arch - plain.arch).toBeGreaterThan(0.5);
  // A spacer at the seat keeps the lower leaf away altogether.
  expect(free({ spacer: 6 }).contacts).toHaveLength(0);
  // A full liner does both: nothing but the depth changes.
  expect(free({ liner: 2 }).arch).toBeCloseTo(plain.arch, 1);
  const broken = new PackSolver(packOf([leaves[0]!, { ...leaves[1]!, broken: { end: 'rear', at: 200 } }]));
  const shape = broken.onRollers(1500);
  expect(Math.max(...broken.contacts('rear', shape).map((c) => c.s))).toBeCloseTo(200, 6);
  expect(Math.max(...broken.contacts('front', shape).map((c) => c.s))).toBeCloseTo(450, 6);
  expect(() => new PackSolver(packOf([{ ...leaves[0]!, broken: { end: 'rear', at: 200 } }]))).toThrow(
    /broken main leaf/,
  );
});

/** The pack above under U-bolts that hold it flat over 120 mm. */
const seated = (shape: 'flat' | 'concentric' = 'flat') =>
  new PackSolver({ ...packOf(leaves), clamp: { kind: 'seat', length: 120, shape } });
const linesAt = (solver: PackSolver, load: number) => {
  const shape = solver.onRollers(load);
  return solver.stressLines(rollerForces(load, shape), shape);
};

test('what the clamp flattens stands apart from what works: it hangs on no load and is found nowhere along the working line', () => {
  const [light, heavy] = [linesAt(seated(), 1000), linesAt(seated(), 4000)];
  // E t/2R of each leaf flattened over the seat.
  light.forEach(({ clamped }, i) => expect(clamped).toBeCloseTo((SPRING_STEEL_E * 8 * curvatures[i]!) / 2, 6));
  expect(heavy.map((l) => l.clamped)).toEqual(light.map((l) => l.clamped));
  for (const { s } of heavy) expect(Math.min(...s.map(Math.abs))).toBeGreaterThanOrEqual(60 - 1e-9);
  expect(linesAt(new PackSolver(packOf(leaves)), 1000).every((l) => l.clamped === null)).toBe(true);
});

test('life is that of one place in both states: a scan of the same places finds none shorter, and none is endless that cracks', () => {
  const solver = seated();
  const [light, heavy] = [linesAt(solver, 3500), linesAt(solver, 6000)];
  const life = packLife(light, heavy);
  let least = ENDLESS;
  heavy.forEach(({ s, stress }, leaf) =>
    s.forEach((at, k) => {
      const { s: other, stress: value } = light[leaf]!;
      const j = Math.max(
        1,
        other.findIndex((v) => v >= at),
      );
      const share = (at - other[j - 1]!) / (other[j]! - other[j - 1]! || 1);
      least = Math.min(least, lifeBand(value[j - 1]! + share * (value[j]! - value[j - 1]!), stress[k]!).least);
    }),
  );
  expect(life.least / least).toBeCloseTo(1, 2);
  // A pack that hardly swings does not wear out, however hard its clamp flattens it.
  expect(packLife(linesAt(solver, 3000), linesAt(solver, 3010)).least).toBe(ENDLESS);
});

test('stress has one verdict, each kind against its own limit', () => {
  expect(stressVerdict([])).toBeNull();
  expect(stressVerdict([{ working: [400, -590], clamped: [900] }])).toMatchObject({
    state: 'fits',
    figure: { quantity: 'working stress, leaf 2', value: 590, margin: 10 },
  });
  expect(stressVerdict([{ working: [400] }, { working: [-690, 300] }])).toMatchObject({
    state: 'does not fit',
    figure: { quantity: 'working stress, leaf 1', value: 690, limit: 600, margin: -90 },
    text: expect.stringContaining('will not last') as string,
  });
  // What would be too much for a standing load is none for a clamp.
  expect(stressVerdict([{ working: [400], clamped: [900] }])!.state).toBe('fits');
  expect(stressVerdict([{ working: [400], clamped: [1300] }])).toMatchObject({
    state: 'does not fit',
    figure: { quantity: 'clamped stress, leaf 1' },
  });
});

test('a pack lives as long as its worst leaf, and longer with a smaller swing', () => {
  const solver = new PackSolver(packOf(leaves));
  const lines = (load: number) => {
    const shape = solver.onRollers(load);
    return solver.stressLines(rollerForces(load, shape), shape);
  };
  const hard = packLife(lines(1000), lines(5000));
  const soft = packLife(lines(2500), lines(3500));
  expect(hard.least).toBeLessThan(soft.least);
  expect(Math.abs(stressBudget(lines(5000))[hard.leaf]!.peak)).toBeGreaterThan(500);
});

test('a peak is held against the limit of a peak and the nominal stress against the nominal one; a record without it as before', () => {
  expect(stressVerdict([{ working: [700], nominal: [500] }])).toMatchObject({ state: 'fits' });
  expect(stressVerdict([{ working: [700], nominal: [620] }])).toMatchObject({
    state: 'does not fit',
    text: expect.stringContaining('nominal 620 of 600 MPa') as string,
  });
  expect(stressVerdict([{ working: [900], nominal: [500] }])).toMatchObject({ state: 'does not fit' });
  expect(stressVerdict([{ working: [700] }])).toMatchObject({ state: 'does not fit' });
});

test('nominal stress of one leaf is that of a beam on two supports, and equal leaves share it', () => {
  const leaf = { width: 60, thickness: 8 };
  // F·a·b/(a+b) over w·t²/6, by hand.
  const alone = (2000 * 500 * 600) / 1100 / ((60 * 64) / 6);
  expect(nominalStress([leaf], 2000, { front: 500, rear: 600 }, 0)[0]).toBeCloseTo(alone, 6);
  expect(nominalStress([leaf, leaf, leaf], 2000, { front: 500, rear: 600 }, 0)[2]).toBeCloseTo(alone / 3, 6);
});
