import { CoreError } from '../../errors';
import { SPRING_STEEL_E } from '../../material/steel';
import { curvatureOfArch } from '../../mechanics/leafpack/eyes';
import { nestedCurvatures, type Leaf, type Pack } from '../../mechanics/leafpack/pack';
import { PackSolver, rollerForces, type Fineness, type PackShape } from '../../mechanics/leafpack/solve';

/** One spring across with a number for everything, mm. */
export interface CrossSizes {
  leaves: number;
  full: number;
  width: number;
  thickness: number;
  shortest: number;
  rateFactor: number;
}

/** How it is held, and in what state. */
export interface CrossHold {
  clamp: number;
  inactive: number;
  friction: number;
  broken: number | null;
}

/** Half lengths of all leaves from the main leaf on, mm: full ones, then even steps down to the shortest. */
export function halves({ leaves, full, shortest }: CrossSizes, half: number): number[] {
  const long = Math.min(leaves, Math.max(1, full));
  const least = Math.min(half, Math.max(20, shortest));
  return Array.from({ length: leaves }, (_, k) =>
    k < long ? half : half + ((least - half) * (k - long + 1)) / (leaves - long),
  );
}

/**
 * One half of the spring and its mirror image as a pack of the leaf model: clamped in the middle to a frame that does not turn, each
 * half bends for itself, as a whole spring of two such halves does under twice the load. The spring lies the other way up in the
 * vehicle, which changes nothing in it. Leaves nest free; a broken one carries nothing, its thickness stays under the bolt.
 * @param half along the main leaf, mm @param curvature free, of the main leaf, 1/mm
 */
export function packOf(sizes: CrossSizes, half: number, curvature: number, hold: CrossHold): Pack {
  const { leaves, width, thickness, rateFactor } = sizes;
  const nested = nestedCurvatures(curvature, Array<number>(leaves).fill(thickness));
  const all = halves(sizes, half).map((length, k): Leaf => ({
    front: length,
    rear: length,
    width,
    thickness,
    curvature: nested[k]!,
  }));
  const { broken } = hold;
  const gone = broken !== null && broken >= 2 && broken <= leaves ? broken - 1 : -1;
  return {
    leaves: all.flatMap((leaf, k) =>
      k === gone ? [] : k === gone + 1 && gone > 0 ? [{ ...leaf, spacer: thickness }] : [leaf],
    ),
    clamp: { kind: 'seat', length: hold.clamp * Math.min(1, Math.max(0, hold.inactive)), shape: 'flat' },
    youngs: SPRING_STEEL_E * rateFactor,
    eyeOffset: { front: 0, rear: 0 },
    friction: Math.min(1, Math.max(0, hold.friction)),
  };
}

/** Free curvature of the main leaf from how far its eyes stand off its near face when the spring lies free, 1/mm. @param free mm */
export const curvatureFree = ({ thickness }: CrossSizes, half: number, free: number): number =>
  curvatureOfArch(free + thickness / 2, 2 * half, 0);

const settle = (solver: PackSolver, load: number, start?: PackShape): PackShape =>
  solver.march((share) => (at) => rollerForces(share * load, at), start);

export interface Fitted {
  solver: PackSolver;
  curvature: number;
  shape: PackShape;
}

/**
 * Fits one free curvature of nested leaves to what the spring was found to stand at: a free camber cannot be read in the vehicle.
 * @param arch eye line to the main leaf's mid-surface, mm @param load on one half, N
 * @throws CoreError `bad-input` for sizes that are no spring, `no-convergence` where no curvature explains the arch
 */
export function fitted(
  sizes: CrossSizes,
  half: number,
  hold: CrossHold,
  read: { arch: number; load: number },
  fineness: Fineness,
): Fitted {
  const gain = half ** 2 / 2;
  const guess = (read.arch + read.load / 15) / gain;
  const solver = new PackSolver(packOf(sizes, half, guess, hold), undefined, fineness);
  let shape: PackShape | undefined;
  const trial = (curvature: number): Fitted => {
    solver.recurve(packOf(sizes, half, curvature, hold).leaves.map((leaf) => leaf.curvature));
    shape = settle(solver, 2 * read.load, shape);
    return { solver, curvature, shape };
  };
  let low = trial(guess);
  let high = trial(guess + (read.arch - low.shape.arch) / gain + 1e-8);
  let slope = gain;
  for (let k = 0; k < 25; k++) {
    if (high.curvature !== low.curvature) slope = (high.shape.arch - low.shape.arch) / (high.curvature - low.curvature);
    const next = trial(high.curvature + (read.arch - high.shape.arch) / slope);
    if (Math.abs(next.shape.arch - read.arch) < 10 * fineness.settled) return next;
    low = high;
    high = next;
  }
  throw new CoreError('no-convergence', 'crossDrop', 'no free curve of these leaves stands so under this load');
}

/** A spring of known free curve under a load on one half, N. @throws CoreError `no-equilibrium` */
export const under = settle;
