import { CoreError } from '../errors';
import { normal, Z90, type Uniform } from '../estimate/estimate';
import { type KindTypes, type SuspensionKind } from '../suspension/kind';
import { SIDES, type Side } from '../vehicle/side';
import { frictionShare, NARROWEST_BAND, type StatePrediction } from './central';
import { type Reach } from './ledger';
import { Variants, type Outcome } from './outcomes';
import { estimated, sampler, surrogateOf, type Surrogate } from './surrogate';

/** 90 % band of one side and load state: from the 5th to the 95th of 100 outcomes, never narrower than ± 3 mm about the prediction. */
export interface Band {
  low: number;
  high: number;
  /** The wider side of it. */
  half: number;
  samples: number;
  /** Variants that cannot stand at all, of which the band says nothing: their share, and why. */
  unsolved?: { share: number; reason: string };
}

/** How far a band reaches about what is foretold. */
export const reachOf = ({ low, high }: Pick<Band, 'low' | 'high'>, foretold: number): Reach => ({
  below: foretold - low,
  above: high - foretold,
});

/** Variants solved in full beside the surrogate; more where some of them cannot stand. */
const CONTROL = 40;
const CONTROL_MORE = 200;
/** Where a surrogate misses by more than this share of the outcomes' own scatter, every variant is solved in full. */
const POOR = 0.5;
/** How many those are. */
const IN_FULL = 1000;

/**
 * 90 % bands: every input drawn anew, everything nobody saw settled by its chance, both height readings and friction added. The
 * outcomes come from a surrogate of each branch (one or two solves an input) to which what it missed in variants solved in full is
 * added as drawn from them; where that is much, every variant is solved. Yields now and then with the share done.
 * @param uniform generator passed in; the same generator gives the same bands @param samples 50–100,000
 */
export function* predictBands<T extends KindTypes>(
  kind: SuspensionKind<T>,
  given: T['input'],
  prediction: { sides: Record<Side, { states: readonly StatePrediction<T>[] } | null> },
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (samples < 50 || samples > 100_000) throw new CoreError('bad-input', 'samples', 'samples must be 50 to 100,000');
  const bands: Record<Side, Band[] | null> = { left: null, right: null };
  const present = SIDES.filter((side) => prediction.sides[side]);
  for (const [n, side] of present.entries()) {
    const { input } = kind.taught(given, side);
    const { states } = prediction.sides[side]!;
    const variants = new Variants(kind, input, side, states.length);
    const draws = drawing(variants, uniform, samples);
    let found = draws.next();
    for (; !found.done; found = draws.next()) yield (n + found.value) / present.length;
    const { outcomes, middle, unsolved } = found.value;
    const share = frictionShare(input);
    const stuck = (rubs: number, state: StatePrediction<T>): number => {
      const [old, built] = [states[0]!.old?.frictionHeight ?? 0, state.built?.frictionHeight ?? 0];
      return share * rubs * ((2 * uniform() - 1) * old + (2 * uniform() - 1) * built);
    };
    bands[side] = states.map((state, k) => {
      // Variants are solved on a coarser mesh; what that alone shifts is known at the middle and taken off.
      const shift = middle[k]! - (state.after ?? state.change);
      const values = outcomes.map(
        (o) => o[k]! - shift + (input.afterReading / Z90) * normal(uniform) + stuck(Math.max(0, o.at(-1)!), state),
      );
      return { ...bandOf(values, state), ...(unsolved && { unsolved }) };
    });
  }
  return bands;
}

/** Outcomes of one side. `middle` is their mean over the branches at the middle of every reading. */
interface Draws {
  outcomes: Outcome[];
  middle: Outcome;
  unsolved?: { share: number; reason: string };
}

function* drawing<T extends KindTypes>(
  variants: Variants<T>,
  uniform: Uniform,
  samples: number,
): Generator<number, Draws> {
  const { branches, estimates } = variants;
  const solves = branches.length * estimates.length * 1.5 + CONTROL;
  let done = 0;
  const surrogates: { chance: number; of: Surrogate; branch: (typeof branches)[number] }[] = [];
  let refused: CoreError | undefined;
  for (const branch of branches) {
    const steps = surrogateOf(variants, branch);
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield Math.min(0.95, ++done / solves);
    if (step.value instanceof CoreError) refused = step.value;
    else surrogates.push({ chance: branch.chance, of: step.value, branch });
  }
  const standing = surrogates.reduce((sum, { chance }) => sum + chance, 0);
  if (standing === 0) throw refused ?? new CoreError('no-convergence', 'band', 'no variant has a solution');
  const middle = surrogates[0]!.of.centre.map((_, k) =>
    surrogates.reduce((sum, { chance, of }) => sum + (chance / standing) * of.centre[k]!, 0),
  );
  const pick = () => {
    if (surrogates.length === 1) return surrogates[0]!;
    let at = uniform() * standing;
    return surrogates.find(({ chance }) => (at -= chance) < 0) ?? surrogates[0]!;
  };
  const drawn = () => estimates.map((_, i) => variants.reached(i, normal(uniform)));

  const control = { missed: [] as Outcome[], outcomes: [] as Outcome[], tried: 0, failed: 0 };
  const solveOne = () => {
    const { of, branch } = pick();
    const z = drawn();
    const outcome = variants.attempt(branch, new Map(z.entries()));
    control.tried += 1;
    if (outcome instanceof CoreError) {
      control.failed += 1;
      refused = outcome;
      return;
    }
    const told = estimated(of, z);
    control.outcomes.push(outcome);
    control.missed.push(outcome.map((v, k) => v - told[k]!));
  };
  const wanted = Math.min(CONTROL, samples);
  while (control.tried < (control.failed > 0 ? CONTROL_MORE : wanted)) {
    solveOne();
    yield Math.min(0.95, ++done / solves);
  }
  if (control.failed > control.tried / 2)
    throw new CoreError('no-convergence', 'band', `most variants have no solution: ${refused?.message ?? ''}`);
  const lost = 1 - standing + standing * (control.failed / control.tried);
  const unsolved = lost > 0 && refused ? { unsolved: { share: lost, reason: refused.message } } : {};

  // Friction's own number does not count: only heights are asked for.
  const poor = middle.slice(0, -1).some((_, k) => {
    const by = (list: readonly Outcome[]) => deviation(list.map((o) => o[k]!));
    return by(control.missed) > Math.max(0.3, POOR * by(control.outcomes));
  });
  if (poor) {
    while (control.outcomes.length < Math.min(IN_FULL, samples) && control.tried < 2 * IN_FULL) {
      solveOne();
      if (control.tried % 10 === 0) yield 0.9 + (0.1 * control.outcomes.length) / IN_FULL;
    }
    return { outcomes: control.outcomes, middle, ...unsolved };
  }
  const size = middle.length;
  const samplers = new Map(surrogates.map(({ of }) => [of, sampler(of, variants.lowest, uniform)]));
  const outcomes: Outcome[] = [];
  const row = new Float64Array(size);
  for (let n = 0; n < samples; n++) {
    samplers.get(pick().of)!(row);
    const missed = control.missed[Math.floor(uniform() * control.missed.length)]!;
    outcomes.push(missed.map((v, k) => v + row[k]!));
  }
  return { outcomes, middle, ...unsolved };
}

function deviation(values: readonly number[]): number {
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  return Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
}

function bandOf(values: number[], state: { after: number | null; change: number }): Band {
  const sorted = Float64Array.from(values).sort();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const centre = state.after ?? state.change;
  const low = Math.min(at(0.05), centre - NARROWEST_BAND);
  const high = Math.max(at(0.95), centre + NARROWEST_BAND);
  return { low, high, half: Math.max(high - centre, centre - low), samples: sorted.length };
}
