import { nestedCurvatures, type Pack } from '@/core/mechanics/leafpack/pack';
import { PackSolver, rateOnRollers, rollerForces, type PackShape } from '@/core/mechanics/leafpack/solve';
import { SPRING_STEEL_E } from '@/core/material/steel';

/** One point of a press run. Arch from the eye line to the main leaf's top face, mm; force N. */
export interface PressPoint {
  force: number;
  archTop: number;
  branch: 'loading' | 'unloading';
}

/**
 * A load-deflection loop of a pack on its bench, up and down in equal steps: friction between the leaves holds the arch up
 * while the load rises and down while it falls, by the core's own half-band.
 */
export function pressLoop(pack: Pack, most: number, steps: number): PressPoint[] {
  const solver = new PackSolver(pack);
  const half = pack.leaves[0]!.thickness / 2;
  let shape: PackShape | undefined;
  const archAt = (force: number): number => {
    shape = solver.onRollers(Math.max(0, force), shape);
    return shape.arch - half;
  };
  const band = (force: number): number => {
    shape = solver.onRollers(force, shape);
    const rate = rateOnRollers(solver, force, shape);
    return solver.frictionHalfBand(rollerForces(force, shape), shape, rate);
  };
  const forces = Array.from({ length: steps + 1 }, (_, k) => (most * k) / steps);
  return [
    ...forces.map((force): PressPoint => ({ force, archTop: archAt(force - band(force)), branch: 'loading' })),
    ...forces
      .toReversed()
      .map((force): PressPoint => ({ force, archTop: archAt(force + band(force)), branch: 'unloading' })),
  ];
}

/** An invented pack for the press of the demo shop. */
export function demoPack(): Pack {
  const thickness = [7.1, 7.1, 7.2, 7, 7.1];
  const front = [613, 531, 438, 343, 247];
  const rear = [654, 566, 467, 366, 262];
  const curvatures = nestedCurvatures(1 / 1350, thickness);
  return {
    leaves: thickness.map((t, i) => ({
      front: front[i]!,
      rear: rear[i]!,
      width: 63,
      thickness: t,
      curvature: curvatures[i]!,
    })),
    clamp: { kind: 'bolt' },
    youngs: SPRING_STEEL_E * 1.03,
    eyeOffset: { front: 22.5, rear: 22.5 },
    friction: 0.3,
  };
}
