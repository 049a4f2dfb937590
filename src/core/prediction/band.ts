import { CoreError } from '../errors';
import { normal, Z90, type Uniform } from '../estimate/estimate';
import { estimatesOf, type NamedEstimate } from '../estimate/tree';
import { type KindTypes, type ModelOf, type SuspensionKind } from '../suspension/kind';
import { SIDES, type Side } from '../vehicle/side';
import { frictionShare, NARROWEST_BAND, type StatePrediction } from './central';
import { central, extraLoads } from './lines';

/** 90 % band of one side and load state about the predicted height. */
export interface Band {
  low: number;
  high: number;
  half: number;
  samples: number;
}

/** Samples between two yields. */
const stepping = 10;

/**
 * 90 % bands by Monte Carlo through the calibrated model: every input drawn anew, the spring calibrated anew, the
 * whole plan solved, both height readings and friction added. Yields now and then with the share done.
 * @param uniform generator passed in; the same generator gives the same bands @param samples 50–20,000
 */
export function* predictBands<T extends KindTypes>(
  kind: SuspensionKind<T>,
  given: T['input'],
  prediction: { sides: Record<Side, { states: readonly StatePrediction<T>[] } | null> },
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (samples < 50 || samples > 20_000) throw new CoreError('bad-input', 'samples', 'samples must be 50 to 20,000');
  const bands: Record<Side, Band[] | null> = { left: null, right: null };
  const present = SIDES.filter((side) => prediction.sides[side]);
  for (const [n, side] of present.entries()) {
    const { input } = kind.taught(given, side);
    // By name, not by the order of keys: a database may store an object's keys in another order.
    const estimates = estimatesOf(input).sort((p, q) => (p.path < q.path ? -1 : 1));
    const { states } = prediction.sides[side]!;
    const totals: number[][] = states.map(() => []);
    let failed = 0;
    let like = kind.model(kind.draw(input, central), side, 'sample');
    // Variants are solved on a coarser mesh; what that alone shifts is known at the central values and taken off.
    const shift = coarseShift(kind, kind.draw(input, central), side, states, like);
    for (let k = 0; k < samples; k++) {
      if (k % stepping === 0) yield (n + k / samples) / present.length;
      try {
        const { outcome, model } = sample(kind, input, side, estimates, states, uniform, like);
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
function coarseShift<T extends KindTypes>(
  kind: SuspensionKind<T>,
  drawn: T['drawn'],
  side: Side,
  states: readonly StatePrediction<T>[],
  model: ModelOf<T>,
): number[] {
  const changes = kind.changes(drawn);
  const base = model.rise([], 0);
  const extras = extraLoads(drawn, states.length);
  const height = drawn.sides[side].height ?? 0;
  return states.map((state, k) => height + model.rise(changes, extras[k]!) - base - (state.after ?? state.change));
}

/** Inputs of every kind that may lie on either side of zero. */
const SIGNED = /(^|\.)extraMass$/;

/** One outcome per load state: what the tape would say after the work (or the change without a before height). */
function sample<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  side: Side,
  estimates: readonly NamedEstimate[],
  states: readonly StatePrediction<T>[],
  uniform: Uniform,
  like: ModelOf<T>,
): { outcome: number[]; model: ModelOf<T> } {
  const values = new Map<string, number>();
  for (const { path, estimate } of estimates) {
    const free = estimate.value + (estimate.half90 / Z90) * normal(uniform);
    values.set(path, SIGNED.test(path) || kind.signed.test(path) ? free : Math.max(0, free));
  }
  const read = kind.draw(input, (e, path) => values.get(path) ?? e.value);
  const share = frictionShare(input) * kind.rubbing(input, read);
  const drawn = kind.settled(read, uniform);
  const model = kind.model(drawn, side, 'sample', like);
  const base = model.rise([], 0);
  const extras = extraLoads(drawn, states.length);
  const changes = kind.changes(drawn);
  const stuck = (old: number, built: number) => share * ((2 * uniform() - 1) * old + (2 * uniform() - 1) * built);
  const outcome = states.map(
    (state, k) =>
      (drawn.sides[side].height ?? 0) +
      model.rise(changes, extras[k]!) -
      base +
      (input.afterReading / Z90) * normal(uniform) +
      stuck(states[0]!.old?.frictionHeight ?? 0, state.built?.frictionHeight ?? 0),
  );
  return { outcome, model };
}

function bandOf(values: number[], state: { after: number | null; change: number }): Band {
  const sorted = values.toSorted((p, q) => p - q);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const centre = state.after ?? state.change;
  const half = Math.max(NARROWEST_BAND, at(0.95) - centre, centre - at(0.05));
  return { low: centre - half, high: centre + half, half, samples: sorted.length };
}
