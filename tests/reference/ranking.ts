// Run by ranking.test.ts in a process of its own: the search against every candidate predicted one by one. Prints JSON.
import { stockPartOf } from '@/contracts/stock';
import { finish } from '@/core/finish';
import { SIDES } from '@/core/vehicle/side';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { ledgerValue } from '@/core/prediction/ledger';
import { NARROWEST_BAND } from '@/core/prediction/central';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { candidatesFor, type Candidate } from '@/core/selection/generate';
import { NO_LIMITS, type Limits } from '@/core/selection/parts';
import { search } from '@/core/selection/search';
import { CoreError } from '@/core/errors';
import { uniformFrom } from '@/workers/random';
import { demoParts } from '../../demo/shelf';
import { flatbedSheet } from './sheets';
import { toldFirst } from './told';

const TARGETS = 20;
const TOP = 10;
const uniform = uniformFrom(77);
const { input } = assemble(flatbedSheet([]));
const parts = demoParts((n) => `5a1e0009-${n}`).map(stockPartOf);
const axle = { width: 70, front: 670, rear: 710, steered: false, arrangement: 'over' as const };
const everything = candidatesFor(input, parts, axle, NO_LIMITS);
// Some of them, drawn at random: every one is predicted on its own below.
const some = everything
  .map((candidate) => ({ candidate, at: uniform() }))
  .toSorted((p, q) => p.at - q.at)
  .slice(0, 150)
  .map((c) => c.candidate);

/** What the work changes in a load state on the worst side, by the prediction that is stored: one candidate at a time. */
function foretold(candidate: Candidate): Record<string, number[]> | null {
  if (candidate.changes.length === 0) return Object.fromEntries(input.states.map((s) => [s.id, [0]]));
  try {
    const whole: LeafAxleInput = { ...input, changes: candidate.changes };
    const { sides } = toldFirst(whole);
    return Object.fromEntries(
      input.states.map((s, k) => [
        s.id,
        SIDES.flatMap((side) => {
          const state = sides[side]?.states[k];
          return state ? [state.change - ledgerValue(state.ledger, 'load')] : [];
        }),
      ]),
    );
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
const oracle = some.flatMap((candidate) => {
  const changes = foretold(candidate);
  return changes ? [{ candidate, changes }] : [];
});

const price = (c: Candidate): number =>
  c.made.length > 0 || c.parts.some((p) => p.price === null) ? 1e12 : c.parts.reduce((sum, p) => sum + p.price!, 0);

/** The order the search promises, spelled out on its own. */
function bruteForce(stateId: string, wanted: number, lets: (c: Candidate) => boolean = () => true): string[] {
  return oracle
    .filter(({ candidate }) => lets(candidate))
    .map(({ candidate, changes }) => {
      const miss = Math.max(...changes[stateId]!.map((change) => Math.abs(change - wanted)));
      return { candidate, miss, score: Math.max(0, miss - NARROWEST_BAND) };
    })
    .toSorted((p, q) => {
      const steps = (c: Candidate) => c.changes.length + c.made.length;
      return (
        p.score - q.score ||
        steps(p.candidate) - steps(q.candidate) ||
        price(p.candidate) - price(q.candidate) ||
        p.miss - q.miss ||
        (p.candidate.id < q.candidate.id ? -1 : 1)
      );
    })
    .slice(0, TOP)
    .map((c) => c.candidate.id);
}

const searched = (stateId: string, change: number, limits: Limits = NO_LIMITS) =>
  finish(search(input, some, { stateId, change }, limits, TOP)).found;

const targets = Array.from({ length: TARGETS }, (_, k) => ({
  stateId: k % 2 === 0 ? 'laden' : 'today',
  change: Math.round(-25 + 100 * uniform()),
}));
const compared = targets.map(({ stateId, change }) => ({
  stateId,
  change,
  searched: searched(stateId, change).map((f) => f.candidate.id),
  bruteForce: bruteForce(stateId, change),
}));

/** Each limit as it is meant, spelled out on its own. */
const LIMITS: { limit: Partial<Limits>; lets: (c: Candidate) => boolean }[] = [
  { limit: { noBlock: true }, lets: (c) => !c.changes.some((d) => d.kind === 'block' && d.height.value > 0) },
  { limit: { noUsed: true }, lets: (c) => c.parts.every((p) => !p.used) },
  { limit: { onlyParts: true }, lets: (c) => c.made.length === 0 },
  { limit: { mostPrice: 150 }, lets: (c) => price(c) <= 150 },
  {
    limit: { mostDays: 4 },
    lets: (c) => c.made.length === 0 && c.parts.every((p) => p.days !== null && p.days <= 4),
  },
];
const limited = LIMITS.map(({ limit, lets }, k) => {
  const { stateId, change } = targets[k]!;
  return {
    limit,
    searched: searched(stateId, change, { ...NO_LIMITS, ...limit }).map((f) => f.candidate.id),
    bruteForce: bruteForce(stateId, change, lets),
    left: some.filter(lets).length,
  };
});

console.log(JSON.stringify({ candidates: some.length, solved: oracle.length, compared, limited }));
