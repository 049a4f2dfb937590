import { SPRING_STEEL_E } from '../../material/steel';
import { nestedCurvatures, type Pack } from './pack';
import { PackSolver, rateOnRollers, rollerForces } from './solve';

const E = SPRING_STEEL_E;
const curvatures = nestedCurvatures(1 / 1900, [8, 8, 8, 8]);
const pack = (friction: number): Pack => ({
  leaves: curvatures.map((curvature, i) => ({
    front: 620 * (1 - i / 5),
    rear: 620 * (1 - i / 5),
    width: 70,
    thickness: 8,
    curvature,
  })),
  clamp: { kind: 'bolt' },
  youngs: E,
  eyeOffset: { front: 0, rear: 0 },
  friction,
});

const halfBand = (friction: number, load: number): number => {
  const solver = new PackSolver(pack(friction));
  const shape = solver.onRollers(load);
  return solver.frictionHalfBand(rollerForces(load, shape), shape, rateOnRollers(solver, load, shape));
};

test('the friction band is proportional to μ and grows with the load; without friction there is none', () => {
  expect(halfBand(0, 3000)).toBe(0);
  expect(halfBand(0.4, 3000) / halfBand(0.2, 3000)).toBeCloseTo(2, 6);
  expect(halfBand(0.3, 4000)).toBeGreaterThan(halfBand(0.3, 2000));
});

test('half-band over load is near 2μtΣl/L² of the shorter leaves (quick check, common practice)', () => {
  const load = 3000;
  const shorter = [1, 2, 3].reduce((sum, i) => sum + 620 * (1 - i / 5), 0);
  const quick = (2 * 0.3 * 8 * shorter) / 620 ** 2;
  expect(halfBand(0.3, load) / load / quick).toBeGreaterThan(0.5);
  expect(halfBand(0.3, load) / load / quick).toBeLessThan(1.5);
});

test('two full-length flat leaves: half-band by hand, tip contact force P/2 sliding t·dφ', () => {
  // Equal flat leaves carry half of the end load each, so N = P/2 at the tips; the slip of facing surfaces per end deflection is
  // t·(3/2L) (tip slope of a cantilever per deflection: 3/2L). Two ends, each P = F/2: F_half = 2·μ·(F/4)·t·3/(2L).
  const flat = { front: 600, rear: 600, width: 70, thickness: 8, curvature: 0 };
  const solver = new PackSolver({ ...pack(0.3), leaves: [flat, flat] });
  const load = 400;
  const shape = solver.onRollers(load);
  const expected = (2 * 0.3 * (load / 4) * 8 * 3) / (2 * 600);
  expect(
    solver.frictionHalfBand(rollerForces(load, shape), shape, rateOnRollers(solver, load, shape)) / expected,
  ).toBeCloseTo(1, 1);
});
