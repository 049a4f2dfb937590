import fc from 'fast-check';
import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { nestedCurvatures, type Pack } from './pack';
import { PackSolver, rateOnRollers, type PackShape } from './solve';

const E = SPRING_STEEL_E;
const THICKNESS = 8;

const packOf = (departures: readonly number[]): Pack => {
  const nested = nestedCurvatures(
    1 / 2000,
    departures.map(() => THICKNESS),
  );
  return {
    leaves: nested.map((curvature, i) => ({
      front: 600 * (1 - i / (departures.length + 1)),
      rear: 640 * (1 - i / (departures.length + 1)),
      width: 65,
      thickness: THICKNESS,
      curvature: curvature * departures[i]!,
    })),
    clamp: { kind: 'bolt' },
    youngs: E,
    eyeOffset: { front: 0, rear: 0 },
    friction: 0,
  };
};

/** Strain energy of all leaves from their drawn curves: ∫ ½ EI (κ − κ₀)² ds, N·mm. */
function strainEnergy(solver: PackSolver, shape: PackShape): number {
  let sum = 0;
  solver.pack.leaves.forEach((leaf, i) => {
    const ei = E * leafInertia(leaf.width, leaf.thickness);
    for (const curve of Object.values(solver.leafCurves(i, shape)))
      for (let k = 1; k < curve.s.length; k++) {
        const ds = curve.s[k]! - curve.s[k - 1]!;
        const bent = (curve.slope[k]! - curve.slope[k - 1]!) / ds - leaf.curvature;
        sum += (ei * bent * bent * ds) / 2;
      }
  });
  return sum;
}

const departures = fc.array(fc.double({ min: 0.8, max: 1.3, noNaN: true }), { minLength: 2, maxLength: 4 });

test('property: frictionless, the work of the seat load is the energy stored in the leaves within 1.5 %', () => {
  fc.assert(
    fc.property(departures, (factors) => {
      const solver = new PackSolver(packOf([1, ...factors.slice(1)]));
      const steps = 24;
      const most = 1500;
      let shape = solver.onRollers(0);
      const before = strainEnergy(solver, shape);
      let work = 0;
      for (let k = 1; k <= steps; k++) {
        const next = solver.onRollers((k * most) / steps, shape);
        work += (((k - 0.5) * most) / steps) * (shape.arch - next.arch);
        shape = next;
      }
      expect((strainEnergy(solver, shape) - before) / work).toBeGreaterThan(0.985);
      expect((strainEnergy(solver, shape) - before) / work).toBeLessThan(1.015);
    }),
    { numRuns: 15 },
  );
});

test('property: the tangent rate is the slope of the load curve', () => {
  fc.assert(
    fc.property(departures, fc.double({ min: 400, max: 2500, noNaN: true }), (factors, load) => {
      const solver = new PackSolver(packOf([1, ...factors.slice(1)]));
      const shape = solver.onRollers(load);
      const step = 20;
      const chord =
        (2 * step) / (solver.onRollers(load - step, shape).arch - solver.onRollers(load + step, shape).arch);
      expect(rateOnRollers(solver, load, shape) / chord).toBeCloseTo(1, 1);
    }),
    { numRuns: 20 },
  );
});

test('property: a warm start never changes the answer', () => {
  fc.assert(
    fc.property(departures, departures, fc.double({ min: 0, max: 2500, noNaN: true }), (one, two, load) => {
      const first = new PackSolver(packOf(one));
      first.onRollers(load);
      const warm = new PackSolver(packOf(two), first).onRollers(
        load,
        new PackSolver(packOf(two)).onRollers(0.7 * load),
      );
      const cold = new PackSolver(packOf(two)).onRollers(load);
      expect(warm.arch).toBeCloseTo(cold.arch, 4);
      expect(warm.seatTilt).toBeCloseTo(cold.seatTilt, 6);
    }),
    { numRuns: 25 },
  );
});

test('recurving a pack equals making it anew', () => {
  const [a, b] = [packOf([1, 1.1, 0.9]), packOf([1.2, 1, 1.05])];
  const solver = new PackSolver(a);
  solver.onRollers(900);
  solver.recurve(b.leaves.map((leaf) => leaf.curvature));
  expect(solver.onRollers(900).arch).toBeCloseTo(new PackSolver(b).onRollers(900).arch, 5);
});
