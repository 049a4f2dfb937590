import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { type Leaf, type Pack } from '../leafpack/pack';
import { PackSolver } from '../leafpack/solve';
import { solveHelped, type HelperLeaf } from './helper';
import { solveInstalled } from './installed';

const flat = (front: number, rear: number, thickness: number): Leaf => ({
  front,
  rear,
  width: 70,
  thickness,
  curvature: 0,
});
const packOf = (leaf: Leaf): Pack => ({
  leaves: [leaf],
  clamp: { kind: 'bolt' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0,
});
const level = { kind: 'slipper' as const, height: 0, slope: 0, from: 500, to: 2000 };
const solver = new PackSolver(packOf(flat(600, 600, 8)));
/** Ends of a flat helper lying on the main leaf stand at its mid-surface plus half of both thicknesses. */
const helper = (gap: number): HelperLeaf => ({
  leaf: flat(400, 400, 9),
  spacer: 0,
  pads: { front: 8.5 + gap, rear: 8.5 + gap },
});
const rateOf = (half: number, thickness: number) => (6 * SPRING_STEEL_E * leafInertia(70, thickness)) / half ** 3;

test('pads that touch from the start: the rates of main leaf and helper add up (two beams side by side, by hand)', () => {
  const load = 20;
  const { seat, padForces } = solveHelped(solver, level, helper(0), load);
  const both = rateOf(600, 8) + rateOf(400, 9);
  expect(seat.y / (load / both)).toBeCloseTo(1, 3);
  expect((padForces.front + padForces.rear) / ((load * rateOf(400, 9)) / both)).toBeCloseTo(1, 3);
  expect(padForces.front).toBeCloseTo(padForces.rear, 4);
});

test('a gap is taken up by the pack alone; beyond it the helper carries its share', () => {
  const gap = 12;
  const before = 0.8 * gap * rateOf(600, 8);
  const clear = solveHelped(solver, level, helper(gap), before);
  expect(clear.padForces).toEqual({ front: 0, rear: 0 });
  expect(clear.seat.y).toBeCloseTo(solveInstalled(solver, level, before).seat.y, 4);
  const beyond = solveHelped(solver, level, helper(gap), 4 * before);
  expect(beyond.padForces.rear).toBeGreaterThan(0);
  expect(beyond.seat.y).toBeLessThan(solveInstalled(solver, level, 4 * before).seat.y);
  expect(beyond.forces.front + beyond.forces.rear + beyond.padForces.front + beyond.padForces.rear).toBeCloseTo(
    4 * before,
    2,
  );
});

test('one pad nearer than the other tips the seat towards the one that stands clear', () => {
  const uneven = { ...helper(0), pads: { front: 8.5, rear: 14.5 } };
  const { seatTilt, padForces } = solveHelped(solver, level, uneven, 60);
  expect(padForces.front).toBeGreaterThan(padForces.rear);
  // The front is held down, so the rear of the seat rises against it.
  expect(seatTilt).toBeGreaterThan(0);
});
