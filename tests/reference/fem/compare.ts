import { clampHalf } from '@/core/mechanics/leafpack/pack';
import { PackSolver, rollerForces, type PackShape } from '@/core/mechanics/leafpack/solve';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { naiveHalf } from '../naivePack';
import { type FemCase } from './cases';
import { type FemResult } from './results';

export interface Difference {
  load: number;
  arch: { fem: number; core: number; linear: number | null };
  /** Secant rate from the state before, N/mm; null for the first. */
  rate: { fem: number; core: number } | null;
  /** Largest stress of each leaf away from the clamp's edge, MPa. */
  stress: { fem: number; core: number }[];
}

/** The core's answer beside the stored one, state by state; `linear` is the plainer model without large displacements. */
export function compare(fem: FemCase, result: FemResult): Difference[] {
  const solver = new PackSolver({
    leaves: fem.leaves,
    clamp: fem.clamp,
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: 0, rear: 0 },
    friction: 0,
  });
  const edge = clampHalf(fem.clamp);
  const shallow = fem.model === 'half' && !fem.leaves.some((leaf) => leaf.spacer ?? leaf.flat);
  let shape: PackShape | undefined;
  const found: Difference[] = [];
  for (const state of result.states) {
    shape = solver.onRollers(state.load, shape);
    const lines = solver.stressLines(rollerForces(state.load, shape), shape);
    const before = found.at(-1);
    const linear = shallow
      ? naiveHalf(
          fem.leaves.map(({ rear, width, thickness, curvature }) => ({
            reach: rear - edge,
            width,
            thickness,
            curvature,
          })),
          state.load / 2,
        ).rise
      : null;
    found.push({
      load: state.load,
      arch: { fem: state.arch, core: shape.arch, linear },
      rate: before
        ? {
            fem: (state.load - before.load) / (before.arch.fem - state.arch),
            core: (state.load - before.load) / (before.arch.core - shape.arch),
          }
        : null,
      stress: lines.map(({ s, stress }, i) => {
        const clear = edge + 1.5 * fem.leaves[i]!.thickness;
        const away = stress.filter((_, k) => Math.abs(s[k]!) >= clear);
        // Between nodes the stress is linear: the value just beyond the clear distance counts too.
        for (let k = 1; k < s.length; k++)
          for (const place of [clear, -clear])
            if ((s[k - 1]! - place) * (s[k]! - place) < 0)
              away.push(stress[k - 1]! + ((stress[k]! - stress[k - 1]!) * (place - s[k - 1]!)) / (s[k]! - s[k - 1]!));
        return { fem: state.stress[i]!, core: Math.max(...away.map(Math.abs)) };
      }),
    });
  }
  return found;
}
