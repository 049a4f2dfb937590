import { CoreError } from '../errors';
import { draw } from '../estimate/tree';
import { type DrawnChange, type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { atLips } from '../vehicle/roll';
import { SIDES } from '../vehicle/side';
import { drawLeafAxle } from '../suspension/longitudinalLeaf/turned';
import { clampGrowth } from '../suspension/longitudinalLeaf/built';
import { central } from '../prediction/lines';
import { NARROWEST_BAND } from '../prediction/central';
import { taught } from '../suspension/longitudinalLeaf/springFit';
import { uboltAfter } from '../fastener/ubolt';
import { type Verdict, type VerdictState } from '../verdict';
import { COARSE } from '../mechanics/leafpack/half';
import { type Fineness } from '../mechanics/leafpack/solve';
import { stressVerdict } from '../mechanics/leafpack/stress';
import { threadNamed } from '../thread/thread';
import { changesOf } from './changesOf';
import { uboltSuits, type UboltOrder } from '../fastener/uboltOrder';
import { taken, type Candidate, type Taken, type Way } from './generate';
import { type Limits, type StockPart } from './parts';
import { FirstLook } from './firstLook';
import { Trial, type CandidateState } from './trial';
import { uboltNeed, type UboltFacts } from './uboltNeed';

/** What is wanted, in one load state: the frame this much higher than it now stands there, mm. */
export interface Wanted {
  stateId: string;
  change: number;
}

export interface Ranked {
  candidate: Candidate;
  states: CandidateState[];
  /** Distance from what is wanted, mm. */
  miss: number;
  /** Distance beyond what a prediction can tell apart, mm; what counts for the order. */
  score: number;
  /** Short by is negative. */
  off: number;
  ubolt: VerdictState | 'new set';
  /** The U-bolts to order where the old ones do not do, and the cheapest on the shelf that suits; null when they do or nothing is known. */
  uboltOrder: UboltOrder | null;
  uboltPart: Taken | null;
  /** Stress of the worse side in all states against the limits of its kinds; the same verdict that a plan gets. */
  stressed: Verdict<'stress'>;
  /** For the pair, with the U-bolts it needs, parts only; null when a price is not known. */
  price: number | null;
  days: number | null;
}

/** Fineness of the first look at many candidates. */
const ROUGH: Fineness = { settled: 1e-3, divisions: COARSE };
/** Candidates looked at again exactly, as a multiple of those asked for. */
const AGAIN = 2;
/** What the coarse mesh of the first look may be off, mm: more than was ever seen, so that nothing near is passed over. */
const ROUGHLY = 0.5;

/** A height is never foretold finer than this, so nothing nearer is better. */
const scoreOf = (miss: number, give = 0): number => Math.max(0, miss - NARROWEST_BAND - give);

/** Nearest first; of those equally near the one with fewer steps, then the cheaper one. */
function order(
  p: { score: number; miss: number; candidate: Candidate },
  q: { score: number; miss: number; candidate: Candidate },
): number {
  return (
    p.score - q.score ||
    steps(p.candidate) - steps(q.candidate) ||
    (priceOf(p.candidate) ?? UNPRICED) - (priceOf(q.candidate) ?? UNPRICED) ||
    p.miss - q.miss ||
    (p.candidate.id < q.candidate.id ? -1 : 1)
  );
}
/** What has no price comes after all that has one. */
const UNPRICED = 1e12;
const steps = (candidate: Candidate): number => candidate.changes.length + candidate.made.length;
/** For the pair, parts only; null when something in it has no price. */
const priceOf = (candidate: Candidate): number | null =>
  candidate.made.length > 0 ? null : total(candidate.parts.map((p) => p.price));

const drawnChanges = (input: LeafAxleInput, candidate: Candidate): readonly DrawnChange[] =>
  drawLeafAxle({ ...input, changes: changesOf(input, candidate) }, central).changes;

/** Whether limits let a ranked candidate through; they never change its place. */
export function withinLimits(found: Ranked, limits: Limits, ladenId: string): boolean {
  const { candidate, states } = found;
  const has = (...ways: Way[]) => candidate.ways.some((way) => ways.includes(way));
  if (limits.noBlock && has('block')) return false;
  if (limits.onlyParts && candidate.made.length > 0) return false;
  if (limits.noUsed && candidate.parts.some((part) => part.used)) return false;
  if (limits.keepUbolts && found.ubolt !== 'fits') return false;
  if (limits.mostPrice !== null && (found.price === null || found.price > limits.mostPrice)) return false;
  if (limits.mostDays !== null && (found.days === null || found.days > limits.mostDays)) return false;
  if (limits.leastRating !== null && has('pack', 'donorPack') && (candidate.rating ?? 0) < limits.leastRating)
    return false;
  if (limits.harsher !== null)
    for (const s of states)
      if (
        s.frequency !== null &&
        s.frequencyBefore !== null &&
        s.frequency > s.frequencyBefore * (1 + limits.harsher) + 1e-9
      )
        return false;
  const laden = states.find((s) => s.id === ladenId);
  if (limits.ladenAtLeast !== null && (!laden || laden.change < limits.ladenAtLeast)) return false;
  return true;
}

const total = (values: readonly (number | null)[]): number | null =>
  values.some((v) => v === null) ? null : values.reduce<number>((sum, v) => sum + v!, 0);
const longest = (values: readonly (number | null)[]): number | null =>
  values.some((v) => v === null) ? null : values.reduce<number>((most, v) => Math.max(most, v!), 0);

/** Whether the old U-bolts do. Needs no solving. */
function uboltOf(input: LeafAxleInput, candidate: Candidate): Ranked['ubolt'] {
  const growth = clampGrowth(draw({ ...input, changes: changesOf(input, candidate) }, central));
  if (growth === undefined) return 'new set';
  if (!input.ubolt) return 'not checked';
  const { engagement, runOut } = uboltAfter(input.ubolt, growth);
  if (engagement === 'does not fit' || runOut === 'does not fit') return 'does not fit';
  return runOut;
}

/** U-bolts as they were read, and those on the shelf. */
export interface UboltStock {
  facts: UboltFacts;
  parts: readonly StockPart[];
}

/** The U-bolts a candidate needs where the old ones do not do; the cheapest part that suits one of the orders. */
function uboltsFor(
  input: LeafAxleInput,
  candidate: Candidate,
  ubolt: Ranked['ubolt'],
  stock: UboltStock | undefined,
): Pick<Ranked, 'uboltOrder' | 'uboltPart'> {
  if (!stock || (ubolt !== 'does not fit' && ubolt !== 'new set')) return { uboltOrder: null, uboltPart: null };
  const orders = uboltNeed(input, changesOf(input, candidate), stock.facts) ?? [];
  const diameter = stock.facts.thread === null ? null : (threadNamed(stock.facts.thread)?.diameter ?? null);
  const suiting = stock.parts
    .flatMap((part) =>
      orders.flatMap((order) => (part.ubolt && uboltSuits(part.ubolt, order, diameter) ? [{ part, order }] : [])),
    )
    .toSorted((p, q) => (p.part.price ?? UNPRICED) - (q.part.price ?? UNPRICED));
  const [best] = suiting;
  if (!best) return { uboltOrder: orders[0] ?? null, uboltPart: null };
  return { uboltOrder: best.order, uboltPart: taken(best.part, best.order.count) };
}

/** What both sides do as the body joins them; where only one is solved it stands for itself. */
function atBothLips(input: LeafAxleInput, changes: readonly number[]): number[] {
  const [left, right] = changes;
  if (left === undefined || right === undefined || !input.lipOverBase) return [...changes];
  const lips = atLips({ left, right }, input.lipOverBase.value);
  return [lips.left, lips.right];
}

function joined(input: LeafAxleInput, sides: readonly CandidateState[][]): CandidateState[][] {
  return sides.map((states, n) =>
    states.map((state, k) => {
      const changes = sides.map((other) => other[k]!.change);
      const change = atBothLips(input, changes)[n]!;
      return { ...state, change, after: state.after === null ? null : state.after + change - state.change };
    }),
  );
}

/** Everything about one candidate on both sides it can be solved on; the side further from what is wanted counts. */
function rank(
  input: LeafAxleInput,
  trials: readonly Trial[],
  candidate: Candidate,
  wanted: Wanted,
  stock?: UboltStock,
): Ranked {
  const sides = joined(
    input,
    trials.map((trial) => trial.states(changesOf(input, candidate))),
  );
  const offs = sides.map((states) => states.find((s) => s.id === wanted.stateId)!.change - wanted.change);
  const worst = offs.reduce((w, off, k) => (Math.abs(off) > Math.abs(offs[w]!) ? k : w), 0);
  const states = sides[worst]!;
  const ubolt = uboltOf(input, candidate);
  const bolts = uboltsFor(input, candidate, ubolt, stock);
  const own = priceOf(candidate);
  const needed = stock !== undefined && (ubolt === 'does not fit' || ubolt === 'new set');
  return {
    candidate,
    states,
    miss: Math.abs(offs[worst]!),
    score: scoreOf(Math.abs(offs[worst]!)),
    off: offs[worst]!,
    ubolt,
    ...bolts,
    stressed: stressVerdict(sides.flat().map((s) => s.standing))!,
    price: needed ? total([own, bolts.uboltPart?.price ?? null]) : own,
    days:
      candidate.made.length > 0 || (needed && !bolts.uboltPart)
        ? null
        : longest([...candidate.parts, ...(bolts.uboltPart ? [bolts.uboltPart] : [])].map((p) => p.days)),
  };
}

export interface SearchResult {
  /** Nearest first. */
  found: Ranked[];
  looked: number;
  /** Candidates no state of which exists. */
  impossible: number;
}

export interface SearchProgress {
  done: number;
  of: number;
}

/**
 * Ranks candidates by how near they come to what is wanted, the worse side counting. A first look at all of them on a coarse mesh
 * in the wanted state sorts out those worth solving exactly; these are solved on the full mesh, in every state.
 * @param keep how many are wanted; more are solved exactly, so that a coarse first look does not decide the order
 * @param given the axle as it stands; of its own changes only a broken leaf made good is kept
 * @throws CoreError when the axle as it stands cannot be solved, or the wanted state is not one of its own
 */
export function* search(
  given: LeafAxleInput,
  candidates: readonly Candidate[],
  wanted: Wanted,
  limits: Limits,
  keep: number,
  stock?: UboltStock,
): Generator<SearchProgress, SearchResult> {
  const state = given.states.findIndex((s) => s.id === wanted.stateId);
  if (state < 0) throw new CoreError('bad-input', 'wanted.stateId', 'the wanted load state is not one of this job');
  const sides = SIDES.filter((side) => given.sides[side].spring !== null);
  const inputs = sides.map((side) => taught(given, side).input);
  if (sides.length === 0) throw new CoreError('bad-input', 'sides', 'arch and load of neither side are known');
  const rough = inputs.map((input, k) => new FirstLook(input, sides[k]!, state, ROUGH));
  const looks: { candidate: Candidate; miss: number; score: number }[] = [];
  let impossible = 0;
  const drawn = candidates.map((candidate) => drawnChanges(given, candidate));
  for (const changes of drawn) for (const look of rough) look.expect(changes);
  for (const [k, candidate] of candidates.entries()) {
    if (k % 4 === 0) yield { done: k, of: candidates.length };
    try {
      const lifts = rough.map((look) => look.change(drawn[k]!));
      const misses = atBothLips(given, lifts).map((lift) => Math.abs(lift - wanted.change));
      const miss = Math.max(...misses);
      looks.push({ candidate, miss, score: scoreOf(miss, ROUGHLY) });
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      impossible += 1;
    }
  }
  looks.sort(order);
  const heaviest = given.states.reduce((most, s) => (s.extraMass.value > most.extraMass.value ? s : most));
  const trials = inputs.map((input, k) => new Trial(input, sides[k]!));
  const found: Ranked[] = [];
  let solved = 0;
  for (const look of looks) {
    const { candidate } = look;
    // Whatever comes now is at best as good as its first look says, and so no better than the last one kept.
    const last = found[keep - 1];
    if (found.length >= keep * AGAIN || (last && order(last, { ...look, miss: look.miss - ROUGHLY }) < 0)) break;
    if (!mayPass(given, candidate, limits)) continue;
    yield { done: candidates.length, of: candidates.length + (solved += 1) };
    try {
      const ranked = rank(given, trials, candidate, wanted, stock);
      // What limits leave out makes room for the next nearest.
      if (withinLimits(ranked, limits, heaviest.id)) found.push(ranked);
      found.sort(order);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      impossible += 1;
    }
  }
  return { found: found.slice(0, keep), looked: candidates.length, impossible };
}

/** Limits that need no solving. */
function mayPass(input: LeafAxleInput, candidate: Candidate, limits: Limits): boolean {
  if (limits.noBlock && candidate.ways.includes('block')) return false;
  if (limits.onlyParts && candidate.made.length > 0) return false;
  if (limits.noUsed && candidate.parts.some((part) => part.used)) return false;
  if (limits.keepUbolts && uboltOf(input, candidate) !== 'fits') return false;
  const price = priceOf(candidate);
  return limits.mostPrice === null || (price !== null && price <= limits.mostPrice);
}

/**
 * The figures of a few candidates, in the order they were given: what a search says of one, without the search. null for one of which
 * a state does not exist. @throws CoreError when the axle as it stands cannot be solved
 */
export function* compare(
  given: LeafAxleInput,
  candidates: readonly Candidate[],
  wanted: Wanted,
  stock?: UboltStock,
): Generator<SearchProgress, (Ranked | null)[]> {
  const sides = SIDES.filter((side) => given.sides[side].spring !== null);
  if (sides.length === 0) throw new CoreError('bad-input', 'sides', 'arch and load of neither side are known');
  const trials = sides.map((side) => new Trial(taught(given, side).input, side));
  const found: (Ranked | null)[] = [];
  for (const candidate of candidates) {
    yield { done: found.length, of: candidates.length };
    try {
      found.push(rank(given, trials, candidate, wanted, stock));
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      found.push(null);
    }
  }
  return found;
}
