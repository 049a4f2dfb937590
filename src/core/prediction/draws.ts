import { CoreError } from '../errors';
import { normal, type Uniform } from '../estimate/estimate';
import { type KindTypes } from '../suspension/kind';
import { type Outcome, type Variants } from './outcomes';
import { estimated, sampler, surrogateOf, type Surrogate } from './surrogate';

/** Variants solved in full beside the surrogate; more where some of them cannot stand. */
const CONTROL = 40;
const CONTROL_MORE = 200;
/** Where a surrogate misses by more than this share of the outcomes' own scatter, and this many mm, every variant is solved in full. */
const POOR = { share: 0.5, mm: 0.3 };

/** Variants of one side that cannot stand at all, of which a band says nothing: their share, and why. */
export interface Unsolved {
  share: number;
  reason: string;
}

/** One side ready to be drawn from. */
export interface Draws {
  /** Names of what may be off, in the order in which `draw` looks them up. */
  paths: readonly string[];
  /** Mean over the branches at the middle of every reading. */
  middle: Outcome;
  /** Whether every variant is solved in full. */
  poor: boolean;
  unsolved?: Unsolved;
  /**
   * One outcome; null where it cannot stand. @param z draws by place @param places of this side's inputs among them
   * @param branch 0 to 1, which branch; the same number means the same branch on both sides
   */
  draw: (z: Float64Array, branch: number, uniform: Uniform) => Outcome | null;
  /** Must be told once where each of `paths` stands among the draws. */
  place: (places: readonly number[]) => void;
}

/**
 * Makes the surrogates of every branch of a side and holds them against variants solved in full: what the surrogates miss there is added to
 * what they tell, as drawn from it. Yields the share done. @throws CoreError where most variants have no solution
 */
export function* drawsOf<T extends KindTypes>(variants: Variants<T>, uniform: Uniform): Generator<number, Draws> {
  const { branches, estimates } = variants;
  const solves = branches.length * estimates.length * 1.5 + CONTROL;
  let done = 0;
  const there: { chance: number; of: Surrogate; branch: (typeof branches)[number] }[] = [];
  const refused: CoreError[] = [];
  for (const branch of branches) {
    const steps = surrogateOf(variants, branch);
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield Math.min(0.95, ++done / solves);
    if (step.value instanceof CoreError) refused.push(step.value);
    else there.push({ chance: branch.chance, of: step.value, branch });
  }
  const standing = there.reduce((sum, { chance }) => sum + chance, 0);
  if (standing === 0) throw mostOften(refused) ?? new CoreError('no-convergence', 'band', 'no variant has a solution');
  const middle = there[0]!.of.centre.map((_, k) =>
    there.reduce((sum, { chance, of }) => sum + (chance / standing) * of.centre[k]!, 0),
  );
  const pick = (share: number) => {
    let at = share * standing;
    return there.find(({ chance }) => (at -= chance) < 0) ?? there[0]!;
  };

  const missed: Outcome[] = [];
  const found: Outcome[] = [];
  let [tried, failed] = [0, 0];
  while (tried < (failed > 0 ? CONTROL_MORE : CONTROL)) {
    const { of, branch } = pick(uniform());
    const z = estimates.map((_, i) => variants.reached(i, normal(uniform)));
    const outcome = variants.attempt(branch, new Map(z.entries()));
    tried += 1;
    if (outcome instanceof CoreError) {
      failed += 1;
      refused.push(outcome);
    } else {
      const told = estimated(of, z);
      found.push(outcome);
      missed.push(outcome.map((v, k) => v - told[k]!));
    }
    yield Math.min(0.98, ++done / solves);
  }
  if (failed > tried / 2)
    throw new CoreError(
      'no-convergence',
      'band',
      `most variants have no solution: ${mostOften(refused)?.message ?? ''}`,
    );
  const lost = 1 - standing * (1 - failed / tried);
  // Only heights are held to that: stress at a contact that comes and goes has steps.
  const poor = middle.slice(0, variants.states).some((_, k) => {
    const scatter = (list: readonly Outcome[]) => deviation(list.map((o) => o[k]!));
    return scatter(missed) > Math.max(POOR.mm, POOR.share * scatter(found));
  });

  let places: readonly number[] = estimates.map((_, i) => i);
  let samplers = new Map<Surrogate, ReturnType<typeof sampler>>();
  const row = new Float64Array(middle.length);
  const inFull: Draws['draw'] = (z, share) => {
    const off = new Map(places.map((at, i) => [i, z[at]!] as const));
    const outcome = variants.attempt(pick(share).branch, off);
    return outcome instanceof CoreError ? null : outcome;
  };
  const told: Draws['draw'] = (z, share, random) => {
    samplers.get(pick(share).of)!(z, normal(random), row);
    const off = missed[Math.floor(random() * missed.length)]!;
    return off.map((v, k) => v + row[k]!);
  };
  return {
    paths: estimates.map(({ path }) => path),
    middle,
    poor,
    ...(lost > 1e-9 && refused.length > 0 && { unsolved: { share: lost, reason: mostOften(refused)!.message } }),
    draw: poor ? inFull : told,
    place: (where) => {
      places = where;
      samplers = new Map(there.map(({ of }) => [of, sampler(of, variants.lowest, where, variants.states)]));
    },
  };
}

/** Of what refused variants the kind met most often; one that names a part tells more than one that found no equilibrium under the load. */
function mostOften(refused: readonly CoreError[]): CoreError | undefined {
  const named = refused.filter(({ field }) => field !== 'load');
  const told = named.length > 0 ? named : refused;
  const alike = (p: CoreError) => told.filter((q) => q.code === p.code && q.field === p.field).length;
  return told.reduce<CoreError | undefined>((most, p) => (most && alike(most) > alike(p) ? most : p), undefined);
}

function deviation(values: readonly number[]): number {
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  return Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
}
