import { leafInertia, SPRING_STEEL_E } from '@/core/material/steel';
import { type Leaf, type Pack } from '@/core/mechanics/leafpack/pack';
import { PackSolver } from '@/core/mechanics/leafpack/solve';

/*
 * Two cantilevers one over the other, end load P on the upper (length L), the lower (length a) touching with its tip: equal
 * deflections at the tip give R = P·(3L − a)/(2a)·EI₂/(EI₁ + EI₂). From P u²(3L − u)/6EI and R a³/3EI (S. Timoshenko, Strength
 * of Materials, Part I: cantilever deflections; worked by hand).
 */
const E = SPRING_STEEL_E;
const L = 600;
const leaf = (half: number, thickness: number): Leaf => ({
  front: half,
  rear: half,
  width: 70,
  thickness,
  curvature: 0,
});
const packOf = (leaves: Leaf[]): Pack => ({
  leaves,
  clamp: { kind: 'bolt' },
  youngs: E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0,
});

test.each([
  [8, 8, 380],
  [8, 8, 520],
  [9, 6, 300],
  [7, 11, 450],
])('contact force of two leaves %s and %s mm thick, lower half length %s mm', (upper, lower, a) => {
  const endLoad = 60;
  const solver = new PackSolver(packOf([leaf(L, upper), leaf(a, lower)]));
  const shape = solver.onRollers(2 * endLoad);
  const touching = solver.contacts('rear', shape).filter((c) => c.force > 0.01 * endLoad);
  const ei1 = E * leafInertia(70, upper);
  const ei2 = E * leafInertia(70, lower);
  const expected = ((endLoad * (3 * L - a)) / (2 * a)) * (ei2 / (ei1 + ei2));
  expect(touching).toHaveLength(1);
  expect(touching[0]!.s).toBeCloseTo(a, 6);
  expect(touching[0]!.force / expected).toBeCloseTo(1, 3);
});

/*
 * Cantilever elastica under a tip load that keeps its direction: drop and draw-in over length for PL²/EI (K. E. Bisshopp and
 * D. C. Drucker 1945, from memory). On rollers the reaction stays square to the eye line, so each half is such a cantilever.
 */
test.each([
  [1, 0.3017, 0.0564],
  [2, 0.4935, 0.1606],
  [3, 0.6033, 0.2544],
  [5, 0.7138, 0.3876],
  [10, 0.8106, 0.555],
])('elastica at PL²/EI = %s: drop %s L and draw-in %s L within 0.3 per cent', (load, drop, drawIn) => {
  const ei = E * leafInertia(70, 8);
  const solver = new PackSolver(packOf([leaf(L, 8)]));
  const shape = solver.onRollers((2 * load * ei) / L ** 2);
  expect(Math.abs(-shape.arch / L / drop - 1)).toBeLessThan(0.003);
  expect(Math.abs((1 - shape.frontArm / L) / drawIn - 1)).toBeLessThan(0.003);
});
