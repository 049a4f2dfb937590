import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { nestedCurvatures, type Pack } from '../leafpack/pack';
import { PackSolver } from '../leafpack/solve';
import { installedRate, pivotFromAngle, solveInstalled, wheelPath, wrapStiffness } from './installed';

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

test('a shackle pulled from below: longer raises the eye and lowers the frame, the other way round than a hanging one', () => {
  const { solver, linkage } = installed(95);
  const shape = solver.onRollers(LOAD);
  const below = { ...linkage, eye: 'above' as const, pivot: { x: shape.eyeDistance - 9, y: -110 } };
  const hanging = (length: number) => solveInstalled(solver, { ...linkage, length }, LOAD).seat.y;
  const pulled = (length: number) => solveInstalled(solver, { ...below, length }, LOAD).seat.y;
  expect(hanging(120)).toBeLessThan(hanging(110) - 3);
  expect(pulled(120)).toBeGreaterThan(pulled(110) + 3);
  expect(solveInstalled(solver, below, LOAD).shackleAngle).toBeGreaterThan(rad(80));
});

const flatLeaf = (half: number): Pack => ({
  ...pack,
  leaves: [{ front: half, rear: half, width: 70, thickness: 8, curvature: 0 }],
  clamp: { kind: 'bolt' },
});
const pad = { kind: 'slipper' as const, height: 0, slope: 0, from: 900, to: 1300 };

test('a slipper on a level pad carries no thrust: the spring stands as on rollers', () => {
  const solver = new PackSolver(pack);
  const state = solveInstalled(solver, pad, LOAD);
  expect(state.forces.tension).toBeCloseTo(0, 6);
  expect(state.shackleAngle).toBeNull();
  expect(state.shape.arch).toBeCloseTo(solver.onRollers(LOAD).arch, 4);
});

test('under a roller a leaf carries as if it ended there: 3EI(a+b)/(a²b²), and its end sticking out carries nothing', () => {
  const solver = new PackSolver({ ...flatLeaf(600), leaves: [{ ...flatLeaf(600).leaves[0]!, rear: 700 }] });
  const roller = { kind: 'roller' as const, at: { x: 1150, y: 0 } };
  const load = 40;
  const state = solveInstalled(solver, roller, load);
  const [a, b] = [600, 550];
  const expected = (3 * SPRING_STEEL_E * leafInertia(70, 8) * (a + b)) / (a * a * b * b);
  expect(load / state.seat.y / expected).toBeCloseTo(1, 2);
  expect(state.shape.eyeDistance).toBeCloseTo(1150, 3);
  expect(() => solveInstalled(solver, { ...roller, at: { x: 1310, y: 0 } }, load)).toThrow(/slipped off its roller/);
  // Once off the roller, the solver serves other ends again.
  expect(solveInstalled(solver, { ...pad, to: 1400 }, load).shape.eyeDistance).toBeGreaterThan(1290);
});

test('states that do not exist are named: off the pad, pulled off it, shackle out of reach', () => {
  const solver = new PackSolver(pack);
  const at = (linkage: Parameters<typeof solveInstalled>[1], load: number) => () =>
    solveInstalled(solver, linkage, load);
  expect(at({ ...pad, to: 1000 }, LOAD)).toThrow(/off its pad/);
  expect(at(pad, -300)).toThrow(/pull on its pad/);
  const far = { kind: 'shackle' as const, pivot: { x: 1700, y: 100 }, length: 110, eye: 'below' as const };
  expect(at(far, LOAD)).toThrow(expect.objectContaining({ code: 'no-equilibrium', field: 'shackle' }));
});

test('wrap: a flat leaf on level ends resists a seat couple with 6EI/L, by hand from two cantilevers', () => {
  // Each half takes T/2L at its end: T L²/6EI of deflection, T L/6EI of tilt.
  const half = 600;
  const solver = new PackSolver(flatLeaf(half));
  const state = solveInstalled(solver, pad, 60);
  const expected = (6 * SPRING_STEEL_E * leafInertia(70, 8)) / half;
  expect(wrapStiffness(solver, pad, 60, state) / expected).toBeCloseTo(1, 2);
});

test('bushes that twist stiffen the spring, and one clamped at this very turn does not move it', () => {
  const { solver, linkage } = installed(100);
  const free = solveInstalled(solver, linkage, LOAD);
  const slack = {
    front: free.shape.eyeSlopes.front - free.seatTilt,
    rear:
      free.shape.eyeSlopes.rear +
      free.seatTilt -
      Math.atan2(free.rearEye.x - linkage.pivot.x, linkage.pivot.y - free.rearEye.y),
  };
  const bushes = {
    front: { stiffness: 2e6, slackAt: slack.front },
    rear: { stiffness: 2e6, slackAt: slack.rear },
  };
  const held = (load: number) => solveInstalled(solver, linkage, { load, bushes }, free.shape).seat.y;
  expect(held(LOAD)).toBeCloseTo(free.seat.y, 3);
  const bare = (load: number) => solveInstalled(solver, linkage, load, free.shape).seat.y;
  expect(held(LOAD + 500) - held(LOAD)).toBeLessThan(0.97 * (bare(LOAD + 500) - bare(LOAD)));
});

test('the path of the wheel goes up and rearwards or forwards without a jump, and has a hole where nothing balances', () => {
  const { solver, linkage } = installed(100);
  const loads = [500, 1500, 2500, 3500, 4500, 5500];
  const path = wheelPath(solver, linkage, loads, 150);
  for (let k = 1; k < path.length; k++) {
    expect(path[k]!.hub.y).toBeGreaterThan(path[k - 1]!.hub.y);
    expect(Math.abs(path[k]!.hub.x - path[k - 1]!.hub.x)).toBeLessThan(15);
  }
  // Empty, the eyes stand closer than this pad begins.
  const [empty, laden] = wheelPath(solver, { ...pad, from: 1262 }, [0, LOAD], 150);
  expect(empty).toBeNull();
  expect(laden).not.toBeNull();
});
