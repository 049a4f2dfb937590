import { CoreError } from '../../errors';
import { forcesHeld, type RearHold } from '../../mechanics/linkage/installed';
import { depths, nestedCurvatures, type Leaf, type Pack } from '../../mechanics/leafpack/pack';
import {
  EXACT,
  PackSolver,
  type EyeForces,
  type EyeGeometry,
  type Fineness,
  type PackShape,
} from '../../mechanics/leafpack/solve';

export interface NestedPack {
  leaves: readonly Omit<Leaf, 'curvature'>[];
  /** How much each leaf's free curvature departs from nesting, as a share of the main leaf's; 0 = nested. */
  departure?: readonly number[];
  /** Free curvature of leaves that were read for themselves, 1/mm; it hangs on no other leaf. */
  own?: readonly (number | undefined)[];
  clamp: Pack['clamp'];
  youngs: number;
  eyeOffset: Pack['eyeOffset'];
  friction: number;
  clips?: Pack['clips'];
}

export interface Calibrated {
  pack: Pack;
  solver: PackSolver;
  shape: PackShape;
  /** Free curvature found for the main leaf, 1/mm. */
  curvature: number;
  /** Arch gained per free curvature of the main leaf at this load, mm². */
  gain: number;
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
      curvature: (i > 0 ? given.own?.[i] : undefined) ?? nested[i]! * (1 + (i === 0 ? 0 : (given.departure?.[i] ?? 0))),
    })),
    clamp: given.clamp,
    youngs: given.youngs,
    eyeOffset: given.eyeOffset,
    friction: given.friction,
    ...(given.clips && { clips: given.clips }),
  };
}

/**
 * Free camber cannot be measured on the vehicle: fits one free curvature of nested leaves to arch and load.
 * @param arch mm, eye line to mid-surface at the pin, in the loaded state @param load N on this spring
 * @param hold how the rear end is held in that state
 * @param spent the calibration of nearly the same pack; its solver is taken over and must not be used any more
 * @throws CoreError `no-convergence` when no curvature explains the arch
 */
export function calibrateNested(
  given: NestedPack,
  arch: number,
  load: number,
  hold: RearHold,
  fineness: Fineness = EXACT,
  spent?: Calibrated,
): Calibrated {
  const main = given.leaves[0];
  if (!main) throw new CoreError('bad-input', 'leaves', 'a pack needs at least one leaf');
  const forces = (share: number) => (at: EyeGeometry) => forcesHeld(share * load, at, hold);
  if (spent?.solver.retune(nestedPack(given, spent.curvature)))
    try {
      return followed(given, arch, forces(1), spent);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
    }
  const guess = spent?.curvature ?? (2 * (arch + load / 60)) / (main.front * main.rear);
  const solver = new PackSolver(nestedPack(given, guess), undefined, fineness);
  let last: PackShape | undefined;
  const trial = (curvature: number) => {
    const pack = nestedPack(given, curvature);
    solver.recurve(pack.leaves.map((leaf) => leaf.curvature));
    const shape = solver.march(forces, last);
    last = shape;
    return { pack, solver, shape, curvature };
  };
  let low = trial(guess);
  let high = trial(guess + (2 * (arch - low.shape.arch)) / (main.front * main.rear) + 1e-8);
  let gain = (main.front * main.rear) / 2;
  for (let k = 0; k < 25; k++) {
    if (high.curvature !== low.curvature) gain = (high.shape.arch - low.shape.arch) / (high.curvature - low.curvature);
    const next = trial(high.curvature + (arch - high.shape.arch) / gain);
    if (Math.abs(next.shape.arch - arch) < 10 * fineness.settled) return { ...next, gain };
    low = high;
    high = next;
  }
  throw new CoreError('no-convergence', 'loadedArch', 'no free curvature explains this arch under this load');
}

/** Daylight read over the lowest leaf's tips, mm, and how often its curve is set right by it. */
const DAYLIGHT_PASSES = 4;

/**
 * The same where the lowest leaf's own curve is not known but the daylight over its tips is: as long as it hangs clear, its tip stands
 * where its own curve puts it, so that its curve follows from the gap. @param gap mm, mean of front and rear, in the loaded state
 * @throws CoreError as `calibrateNested`
 */
export function calibrateByDaylight(
  given: NestedPack,
  gap: number,
  calibrate: (pack: NestedPack, spent?: Calibrated) => Calibrated,
  spent?: Calibrated,
): Calibrated {
  const lowest = given.leaves.length - 1;
  const leaf = given.leaves[lowest]!;
  const straight = Math.max(given.clamp.kind === 'seat' ? given.clamp.length : 0, leaf.flat ?? 0) / 2;
  // What a tip gains on its leaf's curvature, mean of both ends, mm².
  const gain = ((leaf.front - straight) ** 2 + (leaf.rear - straight) ** 2) / 4;
  let curvature = spent?.pack.leaves[lowest]?.curvature ?? 0;
  let found = spent;
  for (let pass = 0; pass < DAYLIGHT_PASSES; pass++) {
    const own = given.leaves.map((_, i) => (i === lowest ? curvature : given.own?.[i]));
    found = calibrate({ ...given, own }, found);
    const off = daylight(found, lowest) - gap;
    if (Math.abs(off) < 0.02 || pass === DAYLIGHT_PASSES - 1) break;
    curvature += off / gain;
  }
  return found!;
}

/** Mean gap over the tips of a leaf, mm, along the normal of the seat. */
function daylight({ solver, shape, pack }: Calibrated, leaf: number): number {
  const deep = depths(pack.leaves);
  const [upper, lower] = [solver.leafCurves(leaf - 1, shape), solver.leafCurves(leaf, shape)];
  const faces = (pack.leaves[leaf - 1]!.thickness + pack.leaves[leaf]!.thickness) / 2;
  const gapAt = (end: 'front' | 'rear') => {
    const [above, tip] = [upper[end], lower[end]];
    const x = tip.x.at(-1)!;
    const k = Math.max(
      1,
      above.x.findIndex((v) => v >= x),
    );
    const share = (x - above.x[k - 1]!) / (above.x[k]! - above.x[k - 1]! || 1);
    const y = above.y[k - 1]! + share * (above.y[k]! - above.y[k - 1]!);
    return y - deep[leaf - 1]! - (tip.y.at(-1)! - deep[leaf]!) - faces;
  };
  return (gapAt('front') + gapAt('rear')) / 2;
}

/** Lets the curvature follow the arch while the shape settles: one solve instead of several. */
function followed(
  given: NestedPack,
  arch: number,
  forces: (at: EyeGeometry) => EyeForces,
  { solver, gain, curvature: guess }: Calibrated,
): Calibrated {
  let curvature = guess;
  const shape = solver.settle(forces, undefined, (at) => {
    const error = arch - at.arch;
    curvature += error / gain;
    solver.recurve(nestedPack(given, curvature).leaves.map((leaf) => leaf.curvature));
    return Math.abs(error);
  });
  return { pack: solver.pack, solver, shape, curvature, gain };
}
