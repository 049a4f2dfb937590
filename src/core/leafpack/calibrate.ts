import { CoreError } from '../errors';
import { forcesAtAngle } from '../linkage/shackle';
import { nestedCurvatures, type Leaf, type Pack } from './pack';
import { EXACT, PackSolver, type PackShape } from './solve';

export interface NestedPack {
  leaves: readonly Omit<Leaf, 'curvature'>[];
  /** How much each leaf's free curvature departs from nesting, as a share of the main leaf's; 0 = nested. */
  departure?: readonly number[];
  clamp: Pack['clamp'];
  youngs: number;
  eyeOffset: Pack['eyeOffset'];
  friction: number;
}

export interface Calibrated {
  pack: Pack;
  solver: PackSolver;
  shape: PackShape;
  /** Free curvature found for the main leaf, 1/mm. */
  curvature: number;
}

/** The pack with a given free curvature of its main leaf. */
export function nestedPack(given: NestedPack, curvature: number): Pack {
  const nested = nestedCurvatures(
    curvature,
    given.leaves.map((leaf) => leaf.thickness),
  );
  return {
    leaves: given.leaves.map((leaf, i) => ({
      ...leaf,
      curvature: nested[i]! * (1 + (i === 0 ? 0 : (given.departure?.[i] ?? 0))),
    })),
    clamp: given.clamp,
    youngs: given.youngs,
    eyeOffset: given.eyeOffset,
    friction: given.friction,
  };
}

/**
 * Free camber cannot be measured on the vehicle: fits one free curvature of nested leaves to arch and load.
 * @param arch mm, eye line to mid-surface at the pin, in the loaded state @param load N on this spring
 * @param shackleAngle rad in that state
 * @param like the calibration of nearly the same pack, as a warm start @param settled mm, see `PackSolver`
 * @throws CoreError `no-convergence` when no curvature explains the arch
 */
export function calibrateNested(
  given: NestedPack,
  arch: number,
  load: number,
  shackleAngle: number,
  like?: Calibrated,
  settled: number = EXACT,
): Calibrated {
  const main = given.leaves[0];
  if (!main) throw new CoreError('bad-input', 'leaves', 'a pack needs at least one leaf');
  const guess = like?.curvature ?? (2 * (arch + load / 60)) / (main.front * main.rear);
  const solver = new PackSolver(nestedPack(given, guess), like?.solver, settled);
  let last: PackShape | undefined = like?.shape;
  const trial = (curvature: number): Calibrated => {
    const pack = nestedPack(given, curvature);
    solver.recurve(pack.leaves.map((leaf) => leaf.curvature));
    const shape = solver.settle((s) => forcesAtAngle(load, shackleAngle, s ?? solver.initialArms()), last);
    last = shape;
    return { pack, solver, shape, curvature };
  };
  let low = trial(guess);
  let high = trial(guess + (2 * (arch - low.shape.arch)) / (main.front * main.rear) + 1e-8);
  for (let k = 0; k < 25; k++) {
    const gain = (high.shape.arch - low.shape.arch) / (high.curvature - low.curvature);
    const next = trial(high.curvature + (arch - high.shape.arch) / gain);
    if (Math.abs(next.shape.arch - arch) < 10 * settled) return next;
    low = high;
    high = next;
  }
  throw new CoreError('no-convergence', 'loadedArch', 'no free curvature explains this arch under this load');
}
