import { CoreError } from '../errors';
import { COARSE } from '../leafpack/half';
import { type Fineness } from '../leafpack/solve';
import { draw, estimatesOf, SIDES, type AxleInput, type NamedEstimate, type Side } from './axleInput';
import { SideModel } from './axleModel';
import { normal, Z90, type Uniform } from './estimate';
import {
  central,
  extraLoads,
  frictionShare,
  NARROWEST_BAND,
  type AxlePrediction,
  type StatePrediction,
} from './predict';
import { taught } from './springFit';

/** 90 % band of one side and load state about the predicted height. */
export interface Band {
  low: number;
  high: number;
  half: number;
  samples: number;
}

/** Fineness of one of many random variants. */
const ROUGH: Fineness = { settled: 1e-3, divisions: COARSE };

/** Samples between two yields. */
const stepping = 10;

/**
 * 90 % bands by Monte Carlo through the calibrated model: every input drawn anew, the spring calibrated anew, the
 * whole plan solved, both height readings and friction added. Yields now and then with the share done.
 * @param uniform generator passed in; the same generator gives the same bands @param samples 50–20,000
 */
export function* predictBands(
  given: AxleInput,
  prediction: AxlePrediction,
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (samples < 50 || samples > 20_000) throw new CoreError('bad-input', 'samples', 'samples must be 50 to 20,000');
  const bands: Record<Side, Band[] | null> = { left: null, right: null };
  const present = SIDES.filter((side) => prediction.sides[side]);
  for (const [n, side] of present.entries()) {
    const { input } = taught(given, side);
    // By name, not by the order of keys: a database may store an object's keys in another order.
    const estimates = estimatesOf(input).sort((p, q) => (p.path < q.path ? -1 : 1));
    const states = prediction.sides[side]!.states;
    const totals: number[][] = states.map(() => []);
    let failed = 0;
    let like = new SideModel(draw(input, central), side, ROUGH);
    // Variants are solved on a coarser mesh; what that alone shifts is known at the central values and taken off.
    const shift = coarseShift(input, side, states, like);
    for (let k = 0; k < samples; k++) {
      if (k % stepping === 0) yield (n + k / samples) / present.length;
      try {
        const { outcome, model } = sample(input, side, estimates, states, uniform, like);
        like = model;
        outcome.forEach((value, j) => totals[j]!.push(value - shift[j]!));
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        failed += 1;
        if (failed > samples / 20)
          throw new CoreError(
            'no-convergence',
            'band',
            `more than one in twenty variants has no solution: ${error.message}`,
          );
      }
    }
    bands[side] = totals.map((values, j) => bandOf(values, states[j]!));
  }
  return bands;
}

/** What the coarse mesh gives at the central values beyond the prediction, one per load state, mm. */
function coarseShift(input: AxleInput, side: Side, states: readonly StatePrediction[], model: SideModel): number[] {
  const drawn = draw(input, central);
  const base = model.state([], 0).rise;
  const extras = extraLoads(drawn, states.length);
  return states.map(
    (state, k) =>
      (drawn.sides[side].height ?? 0) +
      model.state(drawn.changes, extras[k]!).rise -
      base -
      (state.after ?? state.change),
  );
}

/** Inputs that may lie on either side of zero; every other one is never drawn below it. */
const SIGNED = /(archTop|freeArch|camber|departure|eyeOffset|offset|extraMass)$/;

/** One outcome per load state: what the tape would say after the work (or the change without a before height). */
function sample(
  input: AxleInput,
  side: Side,
  estimates: readonly NamedEstimate[],
  states: readonly StatePrediction[],
  uniform: Uniform,
  like: SideModel,
): { outcome: number[]; model: SideModel } {
  const values = new Map<string, number>();
  for (const { path, estimate } of estimates) {
    const free = estimate.value + (estimate.half90 / Z90) * normal(uniform);
    values.set(path, SIGNED.test(path) ? free : Math.max(0, free));
  }
  const drawn = draw(input, (e, path) => values.get(path) ?? e.value);
  const usual = input.pack?.friction.value ?? 0;
  const rubbing = usual > 0 ? (drawn.pack?.friction ?? usual) / usual : 1;
  if (drawn.pack?.seatShape === 'unknown') drawn.pack.seatShape = uniform() < 0.5 ? 'flat' : 'concentric';
  const model = new SideModel(drawn, side, ROUGH, like);
  const base = model.state([], 0).rise;
  const extras = extraLoads(drawn, states.length);
  const outcome = states.map((state, k) => {
    const share = frictionShare(input) * rubbing;
    const stuck = (old: number, built: number) => share * ((2 * uniform() - 1) * old + (2 * uniform() - 1) * built);
    return (
      (drawn.sides[side].height ?? 0) +
      model.state(drawn.changes, extras[k]!).rise -
      base +
      (input.afterReading / Z90) * normal(uniform) +
      stuck(states[0]!.old?.frictionHeight ?? 0, state.built?.frictionHeight ?? 0)
    );
  });
  return { outcome, model };
}

function bandOf(values: number[], state: StatePrediction): Band {
  const sorted = values.toSorted((p, q) => p - q);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const centre = state.after ?? state.change;
  const half = Math.max(NARROWEST_BAND, at(0.95) - centre, centre - at(0.05));
  return { low: centre - half, high: centre + half, half, samples: sorted.length };
}
