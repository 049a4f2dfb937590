import { factorize, substitute } from '../cholesky';
import { CoreError } from '../errors';
import { NARROWEST_BAND } from '../prediction/central';
import { type Lever, type Levers } from '../prediction/levers';
import { type Side } from '../vehicle/side';
import { CAUSE_IDS, CAUSES, TELLING_IDS, TELLINGS, type CauseId, type TellingId } from './causes';

/** How far off a thing lies when it is the cause. Assumed; decision 0028. */
const FAR = {
  /** Inputs, in their own standard deviations. */
  input: 4,
  /** A tape read wrong, mm. */
  tape: 10,
  /** A pack that rubs more than told and was not rolled out, in told half-bands. */
  friction: 2,
  /** Share of the load that lies to one side. */
  aside: 0.15,
  /** A pin that stands beside its hole, mm: a head's height; and another part on one side. */
  notHome: { mean: 8, sd: 3 },
  otherPart: 6,
  /** Nothing on the list, mm a reading, and as much again of all readings together. */
  unknown: 8,
} as const;
/** Chance that nothing but the usual scatter is at work, and that it is something not on the list. Assumed. */
const USUAL = 0.7;
const UNKNOWN = 0.05;
/** An input that even far off moves no height out of the narrowest band is no cause. */
const MATTERS = NARROWEST_BAND / FAR.input;

/** One way in which the heights may have come to lie where they were read. */
interface Hypothesis {
  cause: CauseId | 'usual' | 'unknown';
  chance: number;
  /** mm on each height for one unit of it. */
  along: readonly number[];
  mean: number;
  sd: number;
  lever?: Lever;
  side?: Side;
  reading?: number;
}

/** One cause as it is told. */
export interface ToldCause {
  cause: CauseId;
  /** Of all ways in which the heights may have come about. */
  share: number;
  /** The likeliest of its kind: which input, by how much in its own units; which side; which reading. */
  path: string | null;
  by: number | null;
  side: Side | null;
  reading: number | null;
  /** What it does to the heights then, mm, the largest of them. */
  mm: number;
}

export interface Explained {
  /** Chance that it is the usual scatter alone. */
  usual: number;
  /** Chance that it is nothing on the list. */
  unknown: number;
  /** The likeliest first; together with `usual` and `unknown` they make 1. */
  causes: ToldCause[];
  /** `usual`: no single cause is asked for; `likely`: one stands out; `several`: none does, but they are on the list; `lookAgain`: none of them explains it. */
  verdict: 'usual' | 'likely' | 'several' | 'lookAgain';
  /** The one thing that would tell most; null where nothing needs telling. */
  tell: { telling: TellingId; gain: number } | null;
}

/**
 * Where heights that lie otherwise than foretold may come from: one thing far off, all others within their usual doubt, weighed by Bayes'
 * rule with normal laws about the first-order effects of every input.
 * @param levers of the heights read @param off each of them less the foretold one, mm
 * @param states load states that were foretold @param notHome which way a spring that is not home moves the frame: 1 over the axle, −1 under it
 * @throws CoreError when there are not as many as heights
 */
export function explain(
  levers: Levers,
  off: readonly number[],
  { settling, notHome, states }: { settling: { value: number; half90: number }; notHome: 1 | -1; states: number },
): Explained {
  const n = levers.heights.length;
  if (off.length !== n || n === 0)
    throw new CoreError('bad-input', 'off', `there must be ${n} differences, one for each height`);
  const usual = scatterOf(levers);
  const ways = hypotheses(levers, settling, notHome);
  const logs = ways.map((h) => Math.log(h.chance) + logEvidence(usual, h, off));
  const top = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - top));
  const whole = weights.reduce((sum, w) => sum + w, 0);
  const shares = weights.map((w) => w / whole);
  const shareOf = (cause: Hypothesis['cause']) =>
    ways.reduce((sum, h, k) => (h.cause === cause ? sum + shares[k]! : sum), 0);
  const causes = CAUSE_IDS.flatMap((cause): ToldCause[] => {
    const own = ways.map((h, k) => ({ h, share: shares[k]! })).filter(({ h }) => h.cause === cause);
    if (own.length === 0) return [];
    const { h } = own.reduce((best, one) => (one.share > best.share ? one : best));
    const size = likeliestSize(usual, h, off);
    return [
      {
        ...{ cause, share: shareOf(cause), path: h.lever?.path ?? null, side: h.side ?? null },
        ...{ reading: h.reading ?? null, by: h.lever ? size * h.lever.sd : null },
        mm: h.along.reduce((most, a) => (Math.abs(a * size) > Math.abs(most) ? a * size : most), 0),
      },
    ];
  }).toSorted((p, q) => q.share - p.share);
  const [first, second] = causes;
  const [alone, unknown] = [shareOf('usual'), shareOf('unknown')];
  const named = 1 - alone - unknown;
  const verdict =
    alone >= 0.5
      ? 'usual'
      : unknown > named
        ? 'lookAgain'
        : first && first.share >= 0.5 * named && first.share > 1.5 * (second?.share ?? 0)
          ? 'likely'
          : 'several';
  return {
    usual: alone,
    unknown,
    causes,
    verdict,
    tell: verdict === 'usual' ? null : bestTelling(levers, causes, unknown, states),
  };
}

/** Covariance of the heights' differences when everything lies within its usual doubt, mm². */
function scatterOf({ heights, levers, unseen, before, after, friction, rolled }: Levers): Float64Array {
  const n = heights.length;
  const s = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      let sum = levers.reduce((t, { effect }) => t + effect[i]! * effect[j]!, 0);
      sum += unseen.reduce((t, { chance, shift }) => t + chance * shift[i]! * shift[j]!, 0);
      const [a, b] = [heights[i]!, heights[j]!];
      if (a.side === b.side) sum += before[a.side] ** 2;
      if (i === j) sum += after ** 2 + (friction[i]! * rolled) ** 2 / 3;
      s[i * n + j] = sum;
    }
  return s;
}

function hypotheses(levers: Levers, settling: { value: number; half90: number }, notHome: 1 | -1): Hypothesis[] {
  const { heights, lift, friction } = levers;
  const found: Hypothesis[] = [{ cause: 'usual', chance: USUAL, along: heights.map(() => 0), mean: 0, sd: 0 }];
  found.push({ cause: 'unknown', chance: UNKNOWN, along: heights.map(() => 1), mean: 0, sd: FAR.unknown });
  /** Ways of one cause share its chance. */
  const add = (cause: CauseId, ways: readonly (Omit<Hypothesis, 'cause' | 'chance'> & { weight?: number })[]) => {
    const whole = ways.reduce((sum, { weight = 1 }) => sum + weight, 0);
    for (const { weight = 1, ...way } of ways)
      if (way.along.some((a) => Math.abs(a) > 1e-9))
        found.push({ ...way, cause, chance: (CAUSES[cause].chance * weight) / whole });
  };
  const matter = levers.levers.filter(({ effect }) => Math.max(...effect.map(Math.abs)) >= MATTERS);
  const of = (cause: CauseId) =>
    matter
      .filter(({ path }) => causeOf(path) === cause)
      .map((lever) => ({ along: lever.effect, mean: 0, sd: FAR.input, lever }));
  add('load', of('load'));
  add('newPart', of('newPart'));
  add('oldSpring', of('oldSpring'));
  const states = [...new Set(heights.map(({ state }) => state))].filter((state) =>
    heights.some((h, k) => h.state === state && lift[k] !== 0),
  );
  add(
    'loadAside',
    states.map((state) => ({
      along: heights.map((h, k) => (h.state === state ? (h.side === 'left' ? 1 : -1) * lift[k]! : 0)),
      ...{ mean: 0, sd: FAR.aside },
    })),
  );
  add(
    'unseen',
    levers.unseen.map(({ chance, shift }) => ({ along: shift, mean: 1, sd: 0, weight: chance })),
  );
  const settles = Math.max(3, -settling.value);
  add('settled', [{ along: heights.map(() => -1), mean: settles, sd: settles / 2 }]);
  const sides = [...new Set(heights.map(({ side }) => side))];
  const onSide = (side: Side) => heights.map((h) => (h.side === side ? 1 : 0));
  add(
    'side',
    sides.flatMap((side) => [
      { along: onSide(side).map((a) => a * notHome), ...FAR.notHome, side },
      { along: onSide(side), mean: 0, sd: FAR.otherPart, side },
    ]),
  );
  add(
    'before',
    sides.map((side) => ({ along: onSide(side), mean: 0, sd: FAR.tape, side })),
  );
  const alone = (reading: number) => heights.map((_, k) => (k === reading ? 1 : 0));
  add(
    'misread',
    heights.map((_, reading) => ({ along: alone(reading), mean: 0, sd: FAR.tape, reading })),
  );
  // A band under a millimetre is no cause to look for.
  add(
    'friction',
    heights.flatMap((_, reading) =>
      friction[reading]! >= 1
        ? [{ along: alone(reading), mean: 0, sd: FAR.friction * friction[reading]!, reading }]
        : [],
    ),
  );
  return found;
}

/** Which cause an input belongs to, by its path. */
export function causeOf(path: string): CauseId | null {
  if (path === 'tyreRate' || path === 'lipOverBase' || path.endsWith('.height'))
    return path.startsWith('changes.') ? 'newPart' : null;
  if (path.startsWith('states.')) return 'load';
  return path.startsWith('changes.') ? 'newPart' : 'oldSpring';
}

/** The covariance with one hypothesis' own spread added. */
function widened(usual: Float64Array, { cause, along, sd }: Hypothesis): Float64Array {
  const n = along.length;
  const s = Float64Array.from(usual);
  for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) s[i * n + j]! += sd ** 2 * along[i]! * along[j]!;
  if (cause === 'unknown') for (let i = 0; i < n; i++) s[i * n + i]! += FAR.unknown ** 2;
  return s;
}

/** Logarithm of the density of the differences under a hypothesis, up to a constant. */
function logEvidence(usual: Float64Array, h: Hypothesis, off: readonly number[]): number {
  const n = off.length;
  const l = widened(usual, h);
  if (!factorize(l, n)) throw new CoreError('no-convergence', 'levers', 'the doubt of the heights is not a covariance');
  const d = Float64Array.from(off, (o, k) => o - h.mean * h.along[k]!);
  const x = Float64Array.from(d);
  substitute(l, n, x);
  let log = 0;
  for (let i = 0; i < n; i++) log -= 0.5 * d[i]! * x[i]! + Math.log(l[i * n + i]!);
  return log;
}

/** How large a hypothesis' own thing would have to be, in its unit: the mean of it given the differences. */
function likeliestSize(usual: Float64Array, h: Hypothesis, off: readonly number[]): number {
  if (h.sd === 0) return h.mean;
  const n = off.length;
  const l = widened(usual, h);
  factorize(l, n);
  const x = Float64Array.from(off, (o, k) => o - h.mean * h.along[k]!);
  substitute(l, n, x);
  return h.mean + h.sd ** 2 * h.along.reduce((sum, a, k) => sum + a * x[k]!, 0);
}

/** How often a look tells rightly what it is asked. Assumed. */
const SURE = 0.95;

/** Of what can be looked at, the one whose answer takes away most of the doubt between causes. */
function bestTelling(
  { heights }: Levers,
  causes: readonly ToldCause[],
  unknown: number,
  foretold: number,
): { telling: TellingId; gain: number } | null {
  const states = new Set(heights.map(({ state }) => state)).size;
  const can = (id: TellingId) => id !== 'otherState' || (states === 1 && foretold > 1);
  const all = [
    ...causes.map(({ cause, share }) => ({ cause: cause as CauseId | null, share })),
    { cause: null, share: unknown },
  ];
  const whole = all.reduce((sum, { share }) => sum + share, 0);
  if (whole <= 0) return null;
  const bits = (p: readonly number[]) => p.reduce((sum, v) => (v > 0 ? sum - v * Math.log2(v) : sum), 0);
  const gainOf = (id: TellingId) => {
    const told = all.map(({ cause, share }) => ({
      p: share / whole,
      yes: cause !== null && TELLINGS[id].tells.includes(cause) ? SURE : 1 - SURE,
    }));
    const chance = told.reduce((sum, { p, yes }) => sum + p * yes, 0);
    return bits([chance, 1 - chance]) - bits([SURE, 1 - SURE]);
  };
  const best = TELLING_IDS.filter(can)
    .map((telling) => ({ telling, gain: gainOf(telling) }))
    .reduce((most, one) => (one.gain > most.gain ? one : most));
  return best.gain > 0.02 ? best : null;
}
