// Run by ranking.test.ts in a process of its own: the search against every candidate predicted one by one. Prints JSON.
import { stockPartOf } from '@/contracts/stock';
import { finish } from '@/core/finish';
import { SIDES, type AxleInput } from '@/core/height/axleInput';
import { ledgerValue } from '@/core/height/ledger';
import { NARROWEST_BAND, predictCentral } from '@/core/height/predict';
import { assemble } from '@/core/measure/assemble';
import { candidatesFor, type Candidate } from '@/core/selection/generate';
import { NO_LIMITS, type Limits } from '@/core/selection/parts';
import { search } from '@/core/selection/search';
import { CoreError } from '@/core/errors';
import { uniformFrom } from '@/workers/random';
import { demoParts } from '../../demo/shelf';
import { flatbedSheet } from './sheets';

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
    const whole: AxleInput = { ...input, changes: candidate.changes };
    const { sides } = finish(predictCentral(whole, false));
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
function bruteForce(stateId: string, wanted: number): string[] {
  return oracle
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

// One limit after another is drawn tighter; the best that is left may not come nearer.
const chain: Limits[] = [NO_LIMITS];
const tighten = (part: Partial<Limits>) => chain.push({ ...chain.at(-1)!, ...part });
tighten({ mostPrice: 400 });
tighten({ noUsed: true });
tighten({ harsher: 0.12 });
tighten({ mostPrice: 150 });
tighten({ keepUbolts: true });
tighten({ noBlock: true });
tighten({ mostDays: 4 });
tighten({ onlyParts: true });
const tightened = targets
  .slice(0, 2)
  .map(({ stateId, change }) => chain.map((limits) => searched(stateId, change, limits)[0]?.score ?? null));

console.log(JSON.stringify({ candidates: some.length, solved: oracle.length, compared, tightened }));
