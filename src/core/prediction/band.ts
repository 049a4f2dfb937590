import { CoreError } from '../errors';
import { normal, normals, Z90, type Uniform } from '../estimate/estimate';
import { type KindTypes, type SpringFigures, type SuspensionKind } from '../suspension/kind';
import { atLips } from '../vehicle/roll';
import { SIDES, type Side } from '../vehicle/side';
import { frictionShare, NARROWEST_BAND, type StatePrediction } from './central';
import { drawsOf, type Draws, type Unsolved } from './draws';
import { Variants } from './outcomes';

/** 90 % band of one side and load state: from the 5th to the 95th of 100 outcomes, never narrower than ± 3 mm about the prediction. */
export interface Band {
  low: number;
  high: number;
  /** The wider side of it. */
  half: number;
  samples: number;
  /** From the 5th to the 95th of 100 outcomes of the highest working stress, MPa; absent where the kind does not tell it. */
  stress?: { low: number; high: number };
  unsolved?: Unsolved;
}

/** How many variants are solved where no surrogate tells them. */
const IN_FULL = 1000;

type Predicted<T extends KindTypes> = Record<Side, { states: readonly StatePrediction<T>[] } | null>;

/**
 * 90 % bands: every input drawn anew, everything nobody saw settled by its chance, both height readings and friction added. Both sides are
 * drawn together: what is read once for both is off on both alike, and the body joins them. Yields now and then with the share done.
 * @param uniform generator passed in; the same generator gives the same bands @param samples 50–100,000
 */
export function* predictBands<T extends KindTypes>(
  kind: SuspensionKind<T>,
  given: T['input'],
  prediction: { sides: Predicted<T> },
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (samples < 50 || samples > 100_000) throw new CoreError('bad-input', 'samples', 'samples must be 50 to 100,000');
  const bands: Record<Side, Band[] | null> = { left: null, right: null };
  const present = SIDES.filter((side) => prediction.sides[side]);
  const parts: { side: Side; draws: Draws; states: readonly StatePrediction<T>[]; height: number }[] = [];
  const paths: string[] = [];
  const placeOf = (path: string): number => {
    const known = paths.indexOf(path);
    return known >= 0 ? known : paths.push(path) - 1;
  };
  for (const [n, side] of present.entries()) {
    const { input } = kind.taught(given, side);
    const { states } = prediction.sides[side]!;
    const steps = drawsOf(new Variants(kind, input, side, states.length), uniform);
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield (0.9 * (n + step.value)) / present.length;
    const draws = step.value;
    draws.place(draws.paths.map(placeOf));
    parts.push({ side, draws, states, height: placeOf(`sides.${side}.height`) });
  }
  const both = parts.length === 2 && given.lipOverBase !== undefined;
  const joined = (left: number, right: number, z: number) =>
    atLips({ left, right }, Math.max(0.5, given.lipOverBase!.value + (given.lipOverBase!.half90 / Z90) * z));
  // Variants are solved on a coarser mesh; what that alone shifts is known at the middle and taken off.
  const shifts = parts.map(({ side, draws, states }) =>
    states.map(({ change }, k) => {
      const middle = both ? joined(parts[0]!.draws.middle[k]!, parts[1]!.draws.middle[k]!, 0)[side] : draws.middle[k]!;
      return middle - change;
    }),
  );
  const values = parts.map(({ states }) => states.map((): number[] => []));
  const stresses = parts.map(({ states }) => states.map((): number[] => []));
  const share = frictionShare(given);
  const z = new Float64Array(paths.length + 1);
  const count = parts.some(({ draws }) => draws.poor) ? Math.min(IN_FULL, samples) : samples;
  for (let n = 0; n < count; n++) {
    if (n % (count < samples ? 10 : 5000) === 0) yield 0.9 + (0.1 * n) / count;
    normals(uniform, z);
    const branch = uniform();
    const outcomes = parts.map(({ draws }) => draws.draw(z, branch, uniform));
    const rises = parts.map(({ states }, i) =>
      states.map((state, k) => {
        const outcome = outcomes[i];
        if (!outcome) return NaN;
        const [old, built] = [states[0]!.old?.frictionHeight ?? 0, state.built?.frictionHeight ?? 0];
        const rubs = share * Math.max(0, outcome.at(-1)!);
        return outcome[k]! + rubs * ((2 * uniform() - 1) * old + (2 * uniform() - 1) * built);
      }),
    );
    parts.forEach(({ side, states, height }, i) => {
      const read = given.sides[side].height;
      const before = read ? read.value + (read.half90 / Z90) * z[height]! : 0;
      for (const k of states.keys()) {
        const [left, right] = [rises[0]![k], rises[1]?.[k]];
        const rise =
          both && left !== undefined && right !== undefined
            ? joined(left, right, z[paths.length]!)[side]
            : rises[i]![k]!;
        const value = before + rise - shifts[i]![k]! + (given.afterReading / Z90) * normal(uniform);
        if (Number.isFinite(value)) values[i]![k]!.push(value);
        const outcome = outcomes[i];
        if (outcome && outcome.length > states.length + 1) stresses[i]![k]!.push(outcome[states.length + k]!);
      }
    });
  }
  parts.forEach(({ side, states, draws }, i) => {
    bands[side] = states.map((state, k) => ({
      ...bandOf(values[i]![k]!, state),
      ...stressOf(stresses[i]![k]!, draws.middle[states.length + k]!, state.built),
      ...(draws.unsolved && { unsolved: draws.unsolved }),
    }));
  });
  return bands;
}

const sortedShares = (values: readonly number[]) => {
  const sorted = Float64Array.from(values).sort();
  return (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
};

/** The band of a stress about the one solved exactly; empty where none is told. @param middle on the mesh of the draws */
function stressOf(values: readonly number[], middle: number, built: SpringFigures | null): Pick<Band, 'stress'> {
  const exact = built?.highestStress;
  if (values.length === 0 || exact === undefined) return {};
  const at = sortedShares(values);
  const about = (drawn: number) => Math.max(0, exact + drawn - middle);
  return { stress: { low: Math.min(exact, about(at(0.05))), high: Math.max(exact, about(at(0.95))) } };
}

function bandOf(values: number[], state: { after: number | null; change: number }): Band {
  const at = sortedShares(values);
  const centre = state.after ?? state.change;
  const low = Math.min(at(0.05), centre - NARROWEST_BAND);
  const high = Math.max(at(0.95), centre + NARROWEST_BAND);
  return { low, high, half: Math.max(high - centre, centre - low), samples: values.length };
}
