import { CoreError } from '../errors';
import { Z90 } from '../estimate/estimate';
import { type KindTypes } from '../suspension/kind';
import { type Outcome, type Variants } from './outcomes';

/** Less than this, mm, an input's own half-width does to a height is taken as straight: one solve in place of two. */
const STRAIGHT = 0.3;

/** What one input does to every outcome by its own standard deviations z: slope · z + bend · z². */
interface Effect {
  slope: number[];
  bend: number[];
}

/** One branch as a sum of what each of its inputs does alone. */
export interface Surrogate {
  centre: Outcome;
  /** In the order of the variants' estimates. */
  effects: readonly Effect[];
}

/** Slope and bend through the middle and up to two other places. */
function through(centre: Outcome, places: readonly { z: number; at: Outcome }[]): Effect {
  const [a, b] = places;
  if (!a) return { slope: centre.map(() => 0), bend: centre.map(() => 0) };
  const rise = (p: { z: number; at: Outcome }, k: number) => (p.at[k]! - centre[k]!) / p.z;
  if (!b) return { slope: centre.map((_, k) => rise(a, k)), bend: centre.map(() => 0) };
  const bend = centre.map((_, k) => (rise(a, k) - rise(b, k)) / (a.z - b.z));
  return { slope: centre.map((_, k) => rise(a, k) - bend[k]! * a.z), bend };
}

/**
 * The surrogate of one branch from one or two solves an input, each moved by its 90 % half-width. Yields after every solve.
 * @returns why the branch cannot stand at the middle of its readings, if it cannot
 */
export function* surrogateOf<T extends KindTypes>(
  variants: Variants<T>,
  branch: Variants<T>['branches'][number],
): Generator<void, Surrogate | CoreError> {
  const centre = variants.attempt(branch, new Map());
  if (centre instanceof CoreError) return centre;
  const effects: Effect[] = [];
  const heights = (of: Outcome) => of.slice(0, variants.states);
  for (const index of variants.estimates.keys()) {
    const place = (z: number) => {
      const at = variants.attempt(branch, new Map([[index, z]]));
      return at instanceof CoreError ? [] : [{ z: variants.reached(index, z), at }];
    };
    const up = place(Z90);
    yield;
    const most = Math.max(0, ...up.map(({ at }) => Math.max(...heights(at).map((v, k) => Math.abs(v - centre[k]!)))));
    const bends = up.length === 0 || most > STRAIGHT;
    // An input that stands at zero already cannot be less.
    const down = bends && variants.reached(index, -Z90) < -0.1 ? place(-Z90) : [];
    effects.push(through(centre, [...up, ...down]));
    if (bends) yield;
  }
  return { centre, effects };
}

/** An outcome of the surrogate. @param z every input's standard deviations, as far as it can go */
export const estimated = ({ centre, effects }: Surrogate, z: ArrayLike<number>): number[] =>
  centre.map((c, k) => effects.reduce((sum, { slope, bend }, i) => sum + (slope[k]! + bend[k]! * z[i]!) * z[i]!, c));

/** Effects under this are drawn together: mm of a height, MPa of a stress. */
const SMALL = { height: 0.05, stress: 1 } as const;

/**
 * Tells many outcomes of a surrogate quickly: inputs that matter each for itself, all others together as one.
 * @param lowest of every input @param places of every input in the row of draws @param heights so many numbers of an outcome are heights
 */
export function sampler(
  { centre, effects }: Surrogate,
  lowest: readonly number[],
  places: readonly number[],
  heights: number,
): (z: Float64Array, rest: number, into: Float64Array) => void {
  const size = centre.length;
  const matters = ({ slope, bend }: Effect) =>
    slope.some(
      (a, k) => Math.abs(a) + Math.abs(bend[k]!) >= (k < heights || k === size - 1 ? SMALL.height : SMALL.stress),
    );
  const counted = [...effects.keys()].filter((i) => matters(effects[i]!));
  const rest = centre.map((_, k) =>
    Math.hypot(...effects.flatMap(({ slope }, i) => (counted.includes(i) ? [] : [slope[k]!]))),
  );
  const slopes = Float64Array.from(counted.flatMap((i) => effects[i]!.slope));
  const bends = Float64Array.from(counted.flatMap((i) => effects[i]!.bend));
  const least = Float64Array.from(counted.map((i) => lowest[i]!));
  const from = Int32Array.from(counted.map((i) => places[i]!));
  return (z, others, into) => {
    for (let k = 0; k < size; k++) into[k] = centre[k]! + rest[k]! * others;
    for (let i = 0, at = 0; i < from.length; i++) {
      const off = Math.max(least[i]!, z[from[i]!]!);
      for (let k = 0; k < size; k++, at++) into[k]! += (slopes[at]! + bends[at]! * off) * off;
    }
  };
}
