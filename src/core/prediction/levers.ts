import { CoreError } from '../errors';
import { Z90, type Estimate } from '../estimate/estimate';
import { type KindTypes, type SuspensionKind } from '../suspension/kind';
import { atLips } from '../vehicle/roll';
import { SIDES, type Side } from '../vehicle/side';
import { frictionShare, statesFor } from './central';
import { leadOf } from './branches';
import { extraLoads } from './lines';
import { Variants } from './outcomes';

/** A height read after the work: on which side, and in which of the input's load states. */
export interface HeightAt {
  side: Side;
  state: number;
}

/** One input and what it does to every height read. */
export interface Lever {
  path: string;
  origin: Estimate['origin'];
  value: number;
  /** Its standard deviation, in its own units. */
  sd: number;
  /** Of one standard deviation more, mm on each height, with its sign. */
  effect: number[];
}

/** Everything that can move the heights read after the work, to first order. */
export interface Levers {
  heights: readonly HeightAt[];
  levers: Lever[];
  /** What nobody saw, settled otherwise than the likeliest way: how far each height then lies from the mean of all ways, mm. */
  unseen: { chance: number; shift: number[] }[];
  /** Standard deviations, mm: of the height read before, with what friction kept of it; of one read after, without friction. */
  before: Record<Side, number>;
  after: number;
  /** Half-width of the friction band of the built spring at each height, mm, and the share of it that is left once rolled. */
  friction: number[];
  rolled: number;
  /** What all of the load beyond the base does to each height, mm; 0 in the base state. */
  lift: number[];
}

interface SideLevers {
  paths: Map<string, { estimate: Estimate; rises: number[] }>;
  unseen: { chance: number; shift: number[] }[];
  friction: number[];
  frictionBefore: number;
  lift: number[];
}

/**
 * What each input, and each thing nobody saw, does to the heights read after the work: one solve an input and side, about the likeliest
 * branch. Both sides are joined as the body joins them. Yields after every solve.
 * @param given as stored with the prediction @param heights 1 to 40 of them
 * @throws CoreError where no branch of a side can stand, or a height names a state that was not foretold
 */
export function* leversOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  given: T['input'],
  heights: readonly HeightAt[],
): Generator<void, Levers> {
  if (heights.length === 0 || heights.length > 40)
    throw new CoreError('bad-input', 'heights', 'there must be 1 to 40 heights');
  const sides: Record<Side, SideLevers | null> = { left: null, right: null };
  for (const side of SIDES) {
    const own = given.sides[side];
    if (own.spring || own.height) sides[side] = yield* ofSide(kind, given, side);
  }
  for (const { side, state } of heights)
    if (!sides[side] || state < 0 || state >= sides[side].lift.length)
      throw new CoreError('bad-input', 'heights', `nothing was foretold of the ${side} in load state ${state + 1}`);
  const { left, right } = sides;
  const over = left && right ? given.lipOverBase?.value : undefined;
  const joined = (of: (s: SideLevers) => readonly number[] | undefined): number[] =>
    heights.map(({ side, state }) => {
      const at = (s: SideLevers | null) => (s ? (of(s)?.[state] ?? 0) : 0);
      return over === undefined ? at(sides[side]) : atLips({ left: at(left), right: at(right) }, over)[side];
    });
  const here = (of: (s: SideLevers) => readonly number[]) => heights.map(({ side, state }) => of(sides[side]!)[state]!);
  const paths = new Map([...(left?.paths ?? []), ...(right?.paths ?? [])]);
  const most = Math.max(left?.unseen.length ?? 0, right?.unseen.length ?? 0);
  const share = frictionShare(given);
  const before = (side: Side) =>
    Math.hypot(
      (given.sides[side].height?.half90 ?? 0) / Z90,
      (share * (sides[side]?.frictionBefore ?? 0)) / Math.sqrt(3),
    );
  return {
    heights,
    levers: [...paths].map(([path, { estimate }]) => ({
      path,
      origin: estimate.origin,
      value: estimate.value,
      sd: estimate.half90 / Z90,
      effect: joined((s) => s.paths.get(path)?.rises),
    })),
    unseen: Array.from({ length: most }, (_, b) => ({
      chance: (left?.unseen[b] ?? right!.unseen[b]!).chance,
      shift: joined((s) => s.unseen[b]?.shift),
    })),
    before: { left: before('left'), right: before('right') },
    after: given.afterReading / Z90,
    friction: here((s) => s.friction),
    rolled: share,
    lift: here((s) => s.lift),
  };
}

function* ofSide<T extends KindTypes>(
  kind: SuspensionKind<T>,
  given: T['input'],
  side: Side,
): Generator<void, SideLevers> {
  const { input } = kind.taught(given, side);
  const count = statesFor(kind, input, side).length;
  const lead = leadOf(kind, input, side, count);
  const changes = kind.changes(lead.drawn);
  const extras = extraLoads(lead.drawn, count);
  const bare = lead.model.rise(changes, 0);
  const variants = new Variants(kind, input, side, count);
  const branch = variants.branches[lead.place]!;
  const centre = variants.solve(branch, new Map()).slice(0, count);
  yield;
  const paths: SideLevers['paths'] = new Map();
  for (const [index, { path, estimate }] of variants.estimates.entries()) {
    const at = (z: number) => {
      const outcome = variants.attempt(branch, new Map([[index, z]]));
      const reached = variants.reached(index, z);
      return outcome instanceof CoreError || reached === 0 ? null : centre.map((c, k) => (outcome[k]! - c) / reached);
    };
    const rises = at(Z90) ?? at(-Z90);
    if (rises) paths.set(path, { estimate, rises });
    yield;
  }
  const ways: { chance: number; heights: number[] }[] = [{ chance: branch.chance, heights: centre }];
  for (const other of variants.branches) {
    if (other === branch) continue;
    const outcome = variants.attempt(other, new Map());
    if (!(outcome instanceof CoreError)) ways.push({ chance: other.chance, heights: outcome.slice(0, count) });
    yield;
  }
  const whole = ways.reduce((sum, { chance }) => sum + chance, 0);
  const mean = centre.map((_, k) => ways.reduce((sum, w) => sum + (w.chance / whole) * w.heights[k]!, 0));
  return {
    paths,
    unseen: ways.slice(1).map((w) => ({ chance: w.chance / whole, shift: w.heights.map((h, k) => h - mean[k]!) })),
    friction: extras.map((extra) => lead.model.frictionHeight(changes, extra)),
    frictionBefore: lead.model.frictionHeight([], 0),
    lift: extras.map((extra) => lead.model.rise(changes, extra) - bare),
  };
}
