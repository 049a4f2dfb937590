import { SPRING_STEEL_E } from '../material/steel';
import { nestedCurvatures, type Pack } from '../leafpack/pack';
import { PackSolver } from '../leafpack/solve';
import { installedRate, pivotFromAngle, solveInstalled } from './shackle';

const curvatures = nestedCurvatures(1 / 1900, [8, 8, 8, 8]);
const pack: Pack = {
  leaves: curvatures.map((curvature, i) => ({
    front: 620 * (1 - i / 5),
    rear: 660 * (1 - i / 5),
    width: 70,
    thickness: 8,
    curvature,
  })),
  clamp: { kind: 'seat', length: 90, shape: 'flat' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0.2,
};
const LOAD = 4000;
const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** Solver and linkage with the shackle at an angle under the working load. */
function installed(angle: number, length = 110) {
  const solver = new PackSolver(pack);
  const shape = solver.onRollers(LOAD);
  const linkage = pivotFromAngle(shape.eyeDistance, length, rad(angle));
  return { solver, linkage };
}

test('statics: eye forces and seat load are in balance and the shackle force runs along the shackle', () => {
  const { solver, linkage } = installed(105);
  const state = solveInstalled(solver, linkage, LOAD);
  const { forces, shape } = state;
  expect(forces.front + forces.rear).toBeCloseTo(LOAD * Math.cos(state.eyeLine), 3);
  // Moments about the front eye of the pack: seat load against the rear eye force across the eye line.
  expect(forces.rear * shape.eyeDistance).toBeCloseTo(LOAD * state.seat.x, 0);
  expect(Math.hypot(state.rearEye.x - linkage.pivot.x, state.rearEye.y - linkage.pivot.y)).toBeCloseTo(110, 6);
});

test.each([
  [90, 1, 0.03],
  [60, 1.125, 0.06],
  [120, 1.125, 0.06],
])(
  'shackle lift at %s°: a longer shackle raises the frame by about %s·Δ·a/(a+b) (common practice)',
  (angle, factor, within) => {
    const { solver, linkage } = installed(angle);
    const delta = 10;
    const before = solveInstalled(solver, linkage, LOAD);
    const after = solveInstalled(solver, { ...linkage, length: linkage.length + delta }, LOAD, before.shape);
    const share = before.shape.frontArm / before.shape.eyeDistance;
    expect((before.seat.y - after.seat.y) / (delta * share) / factor).toBeGreaterThan(1 - within);
    expect((before.seat.y - after.seat.y) / (delta * share) / factor).toBeLessThan(1 + within);
  },
);

test('an open shackle softens and a closed one stiffens: rates differ by its angle', () => {
  const rate = (angle: number) => {
    const { solver, linkage } = installed(angle);
    return installedRate(solver, linkage, LOAD, solveInstalled(solver, linkage, LOAD));
  };
  const [closed, square, open] = [rate(75), rate(90), rate(110)];
  expect(closed).not.toBeCloseTo(square, 0);
  expect((open - square) * (closed - square)).toBeLessThan(0);
});

test('a shackle that cannot reach is named, not returned as a number', () => {
  const { solver, linkage } = installed(90);
  const far = { ...linkage, pivot: { x: linkage.pivot.x + 400, y: linkage.pivot.y } };
  expect(() => solveInstalled(solver, far, LOAD)).toThrow(expect.objectContaining({ code: 'no-equilibrium' }) as Error);
});
