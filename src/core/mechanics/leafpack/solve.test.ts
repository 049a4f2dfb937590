import fc from 'fast-check';
import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { FINE, HalfPack, type Curve } from './half';
import { depths, nestedCurvatures, type Clamp, type Leaf, type Pack } from './pack';
import { PackSolver, rateOnRollers, rollerForces } from './solve';

const E = SPRING_STEEL_E;
const flat = (front: number, rear = front, thickness = 8): Leaf => ({
  front,
  rear,
  width: 70,
  thickness,
  curvature: 0,
});
const packOf = (leaves: readonly Leaf[], clamp: Clamp = { kind: 'bolt' }): Pack => ({
  leaves,
  clamp,
  youngs: E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0,
});

/** Graduated leaves with any free curvature about a nest: packs that a shop could meet. */
const sanePack = fc
  .record({
    front: fc.double({ min: 400, max: 750, noNaN: true }),
    ratio: fc.double({ min: 0.85, max: 1.2, noNaN: true }),
    leaves: fc.integer({ min: 1, max: 7 }),
    thickness: fc.double({ min: 6, max: 11, noNaN: true }),
    radius: fc.double({ min: 1300, max: 4000, noNaN: true }),
    departures: fc.array(fc.double({ min: 0.6, max: 1.5, noNaN: true }), { minLength: 7, maxLength: 7 }),
    seat: fc.double({ min: 0, max: 120, noNaN: true }),
    shape: fc.constantFrom('flat' as const, 'concentric' as const),
  })
  .map(({ front, ratio, leaves, thickness, radius, departures, seat, shape }): Pack => {
    const thicknesses = Array.from({ length: leaves }, () => thickness);
    const nested = nestedCurvatures(1 / radius, thicknesses);
    return packOf(
      nested.map((curvature, i) => ({
        front: front * (1 - i / (leaves + 1)),
        rear: front * ratio * (1 - i / (leaves + 1)),
        width: 70,
        thickness,
        curvature: curvature * (i === 0 ? 1 : departures[i]!),
      })),
      seat < 10 ? { kind: 'bolt' } : { kind: 'seat', length: seat, shape },
    );
  });

/** A load that brings a sane pack near flat, N. */
const workingLoad = (pack: Pack): number => {
  const main = pack.leaves[0]!;
  const inertia = pack.leaves.reduce((sum, l) => sum + leafInertia(l.width, l.thickness), 0);
  return (3 * E * inertia * main.curvature) / main.front;
};

test('a straight single leaf on rollers has the rate 48EI/ℓ³ (Timoshenko, Strength of Materials)', () => {
  const solver = new PackSolver(packOf([flat(650)]));
  const expected = (48 * E * leafInertia(70, 8)) / 1300 ** 3;
  expect(rateOnRollers(solver, 0, solver.onRollers(0)) / expected).toBeCloseTo(1, 4);
});

test('unequal halves: 3EI(a+b)/(a²b²), the simply supported beam with an off-centre load', () => {
  const solver = new PackSolver(packOf([flat(560, 700)]));
  const expected = (3 * E * leafInertia(70, 8) * (560 + 700)) / (560 ** 2 * 700 ** 2);
  expect(rateOnRollers(solver, 0, solver.onRollers(0)) / expected).toBeCloseTo(1, 3);
});

test('n equal full-length flat leaves are n times one leaf when frictionless', () => {
  const rate = (n: number) => {
    const solver = new PackSolver(packOf(Array.from({ length: n }, () => flat(600))));
    return rateOnRollers(solver, n, solver.onRollers(n));
  };
  const one = new PackSolver(packOf([flat(600)]));
  const single = rateOnRollers(one, 1, one.onRollers(1));
  expect(rate(5) / (5 * single)).toBeCloseTo(1, 4);
});

test('many finely graduated leaves approach uniform strength: δ = F ℓ³ / (32 E n I) (SAE HS-788 form, from memory)', () => {
  const n = 12;
  const leaves = Array.from({ length: n }, (_, i) => flat(600 * (1 - i / n), 600 * (1 - i / n), 4));
  const solver = new PackSolver(packOf(leaves));
  const expected = (32 * E * n * leafInertia(70, 4)) / 1200 ** 3;
  const rate = rateOnRollers(solver, 200, solver.onRollers(200));
  // Trimmed or square ends stiffen by 10 to 15 % (common practice); tip contact at a point lies in between.
  expect(rate / expected).toBeGreaterThan(1);
  expect(rate / expected).toBeLessThan(1.15);
});

test('concentric leaves carry no nip: hardly any contact force and stress without load', () => {
  const thicknesses = [8, 8, 8];
  const curvatures = nestedCurvatures(1 / 1800, thicknesses);
  const pack = packOf(curvatures.map((curvature, i) => ({ ...flat(600 - 150 * i), curvature })));
  const solver = new PackSolver(pack);
  const shape = solver.onRollers(0);
  const forces = [...solver.contacts('front', shape), ...solver.contacts('rear', shape)].map((c) => c.force);
  expect(Math.max(0, ...forces)).toBeLessThan(0.01);
  expect(Math.max(...solver.peakStress(rollerForces(0, shape), shape))).toBeLessThan(0.01);
});

test('only the tips touching: the upper leaf’s stress there is 6(F/2)(L₁−L₂)/(w t²), by statics alone', () => {
  const pack = packOf([flat(600), { ...flat(380), curvature: 1 / 5400 }]);
  const solver = new PackSolver(pack);
  const load = 900;
  const shape = solver.onRollers(load);
  const touching = solver.contacts('rear', shape);
  expect(touching).toHaveLength(1);
  expect(touching[0]!.s).toBeCloseTo(380, 6);
  const arm = shape.rearArm - 380;
  expect(Math.abs(arm - 220)).toBeLessThan(6);
  // The moment of the main leaf at that contact, from its end force alone.
  const moment = (load / 2) * 220;
  const stressThere = (6 * moment) / (70 * 8 ** 2);
  expect(solver.peakStress(rollerForces(load, shape), shape)[0]! / stressThere).toBeCloseTo(1, 1);
});

test('property: no leaf pulls on another and the arch falls as the load grows', () => {
  fc.assert(
    fc.property(sanePack, (pack) => {
      const solver = new PackSolver(pack);
      const full = workingLoad(pack);
      let arch = Infinity;
      for (const share of [0, 0.25, 0.5, 0.75]) {
        const shape = solver.onRollers(share * full);
        expect(shape.arch).toBeLessThan(arch);
        arch = shape.arch;
        for (const end of ['front', 'rear'] as const)
          for (const { force } of solver.contacts(end, shape)) expect(force).toBeGreaterThan(0);
      }
    }),
    { numRuns: 40 },
  );
});

test('property: a mirrored pack gives the mirrored answer', () => {
  fc.assert(
    fc.property(sanePack, (pack) => {
      const mirrored = { ...pack, leaves: pack.leaves.map((l) => ({ ...l, front: l.rear, rear: l.front })) };
      const load = 0.6 * workingLoad(pack);
      const shape = new PackSolver(pack).onRollers(load);
      const other = new PackSolver(mirrored).onRollers(load);
      expect(other.arch).toBeCloseTo(shape.arch, 4);
      expect(other.frontArm).toBeCloseTo(shape.rearArm, 4);
      expect(other.seatTilt).toBeCloseTo(-shape.seatTilt, 6);
    }),
    { numRuns: 25 },
  );
});

/** A face of a drawn leaf as a fine polyline, by the cubic through its points and slopes. */
function face({ s, x, y, slope }: Curve, offset: number): { x: number; y: number }[] {
  const points: { x: number; y: number }[] = [];
  for (let k = 1; k < s.length; k++) {
    const h = s[k]! - s[k - 1]!;
    for (let j = 0; j < 12; j++) {
      const a = j / 12;
      const [h00, h10, h11] = [2 * a ** 3 - 3 * a * a + 1, a ** 3 - 2 * a * a + a, a ** 3 - a * a];
      const at = (v: Float64Array, d0: number, d1: number) =>
        h00 * v[k - 1]! + (1 - h00) * v[k]! + h * (h10 * d0 + h11 * d1);
      const angle = slope[k - 1]! + a * (slope[k]! - slope[k - 1]!);
      points.push({
        x: at(x, Math.cos(slope[k - 1]!), Math.cos(slope[k]!)) - offset * Math.sin(angle),
        y: at(y, Math.sin(slope[k - 1]!), Math.sin(slope[k]!)) + offset * Math.cos(angle),
      });
    }
  }
  return points;
}

/** How far the points of `under` stand above the polyline `over`, at most, mm. */
function overlap(over: { x: number; y: number }[], under: { x: number; y: number }[]): number {
  let most = -Infinity;
  let k = 1;
  for (const p of under) {
    while (k < over.length - 1 && over[k]!.x < p.x) k += 1;
    const [a, b] = [over[k - 1]!, over[k]!];
    if (p.x < a.x || p.x > b.x) continue;
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    most = Math.max(most, ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / long);
  }
  return most;
}

test('property: drawn leaves never run through one another by more than 0.01 mm, past flat and between nodes too', () => {
  fc.assert(
    fc.property(sanePack, fc.double({ min: 0, max: 1.5, noNaN: true }), (pack, share) => {
      const solver = new PackSolver(pack);
      const shape = solver.onRollers(share * workingLoad(pack));
      expect(solver.deepest(shape)).toBeGreaterThan(-1e-4);
      const depth = depths(pack.leaves);
      for (let i = 1; i < pack.leaves.length; i++)
        for (const end of ['front', 'rear'] as const) {
          const lifted = (leaf: number) => {
            const curve = solver.leafCurves(leaf, shape)[end];
            return { ...curve, y: curve.y.map((y) => y - depth[leaf]!) };
          };
          const underside = face(lifted(i - 1), -pack.leaves[i - 1]!.thickness / 2);
          const top = face(lifted(i), pack.leaves[i]!.thickness / 2);
          expect(overlap(underside, top)).toBeLessThan(0.01);
        }
    }),
    { numRuns: 40 },
  );
});

test('property: the strain energy is the work of the seat load, frictionless: dU/d(arch) is the load', () => {
  fc.assert(
    fc.property(sanePack, fc.double({ min: 0.2, max: 1.4, noNaN: true }), (pack, share) => {
      const solver = new PackSolver(pack, undefined, { settled: 1e-9, divisions: FINE });
      const load = share * workingLoad(pack);
      const step = 0.002 * load;
      const less = solver.onRollers(load - step);
      const more = solver.onRollers(load + step, less);
      const force = (solver.energy(more) - solver.energy(less)) / (less.arch - more.arch);
      expect(force / load).toBeCloseTo(1, 4);
    }),
    { numRuns: 30 },
  );
});

test('property: reciprocity – the eye moves as far outwards per newton down as it moves down per newton outwards', () => {
  fc.assert(
    fc.property(sanePack, fc.double({ min: -0.3, max: 0.3, noNaN: true }), (pack, pull) => {
      const half = new HalfPack(pack, 'rear', FINE);
      const down = workingLoad(pack) / 2;
      const eyeUnder = (force: { down: number; outward: number }) => {
        for (let k = 0; k < 30; k++) if (half.advance(force, true) < 1e-9) break;
        return half.eye;
      };
      const d = 0.001 * down;
      const base = { down, outward: pull * down };
      const apart = (a: typeof base, b: typeof base) => {
        const [p, q] = [eyeUnder(a), eyeUnder(b)];
        return { out: q.x - p.x, down: p.y - q.y };
      };
      const byDown = apart({ ...base, down: down - d }, { ...base, down: down + d });
      const byOut = apart({ ...base, outward: base.outward - d }, { ...base, outward: base.outward + d });
      // Contacts may open within the step, so not to rounding.
      expect(Math.abs(byDown.out - byOut.down)).toBeLessThan(0.01 * Math.abs(byDown.down) + 1e-7);
    }),
    { numRuns: 30 },
  );
});

test('the rate of a progressive pack does not hang on where a contact of the mesh happens to come in: within 1 % of a mesh of four times the nodes', () => {
  const nested = nestedCurvatures(1 / 1500, [8, 8, 8]);
  const progressive = packOf(
    [
      ...[640, 520, 400].map((half, i) => ({ ...flat(half), curvature: nested[i]! })),
      { ...flat(380, 380, 14), curvature: 1 / 9000 },
    ],
    { kind: 'seat', length: 90, shape: 'flat' },
  );
  const rates = (divisions: number) => {
    const solver = new PackSolver(progressive, undefined, { settled: 1e-6, divisions });
    return [3000, 4500, 6000, 7500, 9000].map((load) => rateOnRollers(solver, load, solver.onRollers(load)));
  };
  const [usual, fine] = [rates(FINE), rates(4 * FINE)];
  expect(usual.at(-1)! / usual[0]!).toBeGreaterThan(1.5);
  usual.forEach((rate, i) => expect(Math.abs(rate / fine[i]! - 1)).toBeLessThan(0.01));
});
