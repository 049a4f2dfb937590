import fc from 'fast-check';
import { forcesAtAngle } from '../../mechanics/linkage/installed';
import { SPRING_STEEL_E } from '../../material/steel';
import { FINE } from '../../mechanics/leafpack/half';
import { calibrateNested, nestedPack, type NestedPack } from './calibrate';
import { PackSolver } from '../../mechanics/leafpack/solve';

const ANGLE = 1.75;
const HUNG = { length: 105, angle: ANGLE };
const given: NestedPack = {
  leaves: [0, 1, 2, 3, 4].map((i) => ({
    front: 610 * (1 - i / 6),
    rear: 650 * (1 - i / 6),
    width: 64,
    thickness: 7.5,
  })),
  clamp: { kind: 'seat', length: 90, shape: 'flat' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 22, rear: 22 },
  friction: 0.3,
};

test('property: the free curvature behind a loaded arch is found again', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1300, max: 5000, noNaN: true }),
      fc.double({ min: 500, max: 5000, noNaN: true }),
      (radius, load) => {
        const hidden = new PackSolver(nestedPack(given, 1 / radius));
        const shape = hidden.settle((at) => forcesAtAngle(load, ANGLE, at));
        const found = calibrateNested(given, shape.arch, load, HUNG);
        expect(found.curvature * radius).toBeCloseTo(1, 4);
        expect(found.shape.arch).toBeCloseTo(shape.arch, 3);
      },
    ),
    { numRuns: 30 },
  );
});

test('a rough warm start ends within a hundredth of a millimetre of the exact answer', () => {
  const fineness = { settled: 1e-3, divisions: FINE };
  const first = calibrateNested(given, 40, 3000, HUNG, fineness);
  const exact = calibrateNested(given, 46, 3200, HUNG);
  const rough = calibrateNested(given, 46, 3200, HUNG, fineness, first);
  const onBench = (c: typeof exact) => c.solver.onRollers(0).arch;
  expect(onBench(rough)).toBeCloseTo(onBench(exact), 1);
  expect(Math.abs(rough.shape.arch - 46)).toBeLessThan(0.01);
});
