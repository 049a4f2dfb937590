import fc from 'fast-check';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { PackSolver } from '@/core/mechanics/leafpack/solve';
import { type Pack } from '@/core/mechanics/leafpack/pack';
import { naiveHalf, type NaiveLeaf } from './naivePack';

/** The same symmetric half twice, bolted at the pin. */
function packOf(leaves: readonly NaiveLeaf[]): Pack {
  return {
    leaves: leaves.map(({ reach, ...rest }) => ({ front: reach, rear: reach, ...rest })),
    clamp: { kind: 'bolt' },
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: 0, rear: 0 },
    friction: 0,
  };
}

const pack = fc
  .record({
    count: fc.integer({ min: 2, max: 4 }),
    reach: fc.integer({ min: 420, max: 650 }),
    thickness: fc.integer({ min: 60, max: 100 }).map((t) => t / 10),
    camber: fc.integer({ min: 20, max: 60 }),
    nips: fc.array(fc.integer({ min: 85, max: 135 }), { minLength: 4, maxLength: 4 }),
  })
  .map(({ count, reach, thickness, camber, nips }): NaiveLeaf[] =>
    Array.from({ length: count }, (_, i) => ({
      reach: reach * (1 - i / (count + 1)),
      width: 70,
      thickness,
      curvature: ((2 * camber) / reach ** 2) * (i === 0 ? 1 : nips[i]! / 100),
    })),
  );

/** Shallow springs and light loads, where the plain model's linear kinematics hold. */
const endLoad = fc.integer({ min: 0, max: 260 });

test('property: arch and contact force agree with the plainer model', () => {
  fc.assert(
    fc.property(pack, endLoad, (leaves, load) => {
      const plain = naiveHalf(leaves, load);
      const solver = new PackSolver(packOf(leaves));
      const shape = solver.onRollers(2 * load);
      expect(Math.abs(shape.arch - plain.rise)).toBeLessThan(0.6 + 0.02 * Math.abs(plain.rise));
      const support = solver
        .contacts('rear', shape)
        .filter((c) => c.upper === 0)
        .reduce((sum, c) => sum + c.force, 0);
      expect(Math.abs(support - plain.support)).toBeLessThan(3 + 0.05 * plain.support);
    }),
    { numRuns: 30 },
  );
});

test('an added leaf changes the arch as the plainer model says, within half a millimetre', () => {
  const leaf = (reach: number, camber: number): NaiveLeaf => ({
    reach,
    width: 70,
    thickness: 8,
    curvature: (2 * camber) / reach ** 2,
  });
  const old = [leaf(620, 60), leaf(470, 38), leaf(300, 16)];
  const built = [old[0]!, leaf(540, 62), old[1]!, old[2]!];
  const load = 250;
  const plain = naiveHalf(built, load).rise - naiveHalf(old, load).rise;
  const arch = (leaves: NaiveLeaf[]) => new PackSolver(packOf(leaves)).onRollers(2 * load).arch;
  expect(plain).toBeGreaterThan(3);
  expect(Math.abs(arch(built) - arch(old) - plain)).toBeLessThan(0.5);
});
