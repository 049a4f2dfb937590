import { expectedSettling } from '../vehicle/settling';
import { CoreError } from '../errors';
import { type AxleBase, type KindTypes, type ModelOf, type Rising, type SuspensionKind } from '../suspension/kind';
import { hubTravel, type HubTravel, withLoads, withSpringEnds } from '../travel/hubTravel';
import { bounceFrequency } from '../vehicle/load';
import { SIDES, type Side } from '../vehicle/side';
import { CORE_VERSION } from '../version';
import { coupled } from './coupling';
import { leadOf, meanRising } from './branches';
import { type LedgerLine } from './ledger';
import { central, extraLoads, linesOf } from './lines';
import { effectsOf, type Contribution } from './sensitivity';

/** A band is never shown narrower than this, mm. */
export const NARROWEST_BAND = 3;

/** One side in one load state, before and after. */
export interface StatePrediction<T extends KindTypes> {
  id: string;
  name: string;
  ledger: LedgerLine<T['line']>[];
  /** Measured height before the work in the base state; null without one. */
  before: number | null;
  /** Height before the work in this load state; null without a measured one. */
  beforeHere: number | null;
  /** Height afterwards in this load state; null without a before height. */
  after: number | null;
  change: number;
  /** First-order 90 % half-width of the height afterwards, mm; never under the narrowest band. */
  firstOrder: number;
  /** Inputs by their effect on this height. */
  contributions: Contribution[];
  old: T['figures'] | null;
  built: T['figures'] | null;
}

/** Ride height over spring load, old and built; heights relative to the base measurement (or to 0 without one), mm. */
export interface CurvePoint {
  load: number;
  old: number;
  built: number;
  /** Half-width of the friction band of each, mm: the loading branch stands this much higher, the unloading one lower. */
  oldFriction: number;
  builtFriction: number;
}

/** What of a side comes after its heights. */
type Later = Pick<SideFacts<KindTypes>, 'curve' | 'travel'>;

interface SideFacts<T extends KindTypes> {
  states: StatePrediction<T>[];
  /** Empty without a spring. */
  curve: CurvePoint[];
  /** What all readings of this spring say together; null with no more than the least. */
  fit: T['fit'] | null;
  /** Why no spring comes near all of its readings, if so. */
  unfit: string | null;
  /** Where the hub stands today, as planned and hanging. Not in predictions of older cores. */
  travel?: HubTravel | null;
}
export type SidePrediction<T extends KindTypes> = SideFacts<T> & T['beside'];
export type Prediction<T extends KindTypes> = T['fasteners'] & {
  kind: T['input']['kind'];
  coreVersion: string;
  sides: Record<Side, SidePrediction<T> | null>;
};

/** Load states that can be predicted: others than the base need the spring's rate. */
export const statesFor = <T extends KindTypes>(kind: SuspensionKind<T>, input: T['input'], side: Side) =>
  kind.solvable(input, side) ? input.states : input.states.slice(0, 1);

/** Share of the friction band that a height reading keeps: half of it once rolled (assumed). */
export const frictionShare = (input: Pick<AxleBase, 'rolled'>): number => (input.rolled ? 0.5 : 1);

/**
 * First answer: every ledger line solved, first-order bands and ranked contributions, figures and drawings.
 * A generator that yields between solves so that a worker can drop stale work, and once the answer itself as soon as it is whole but for its curves.
 * @param ranked false leaves out bands and ranking, for drawings and for a Monte Carlo of its own
 * @throws CoreError naming the input when readings contradict one another or no equilibrium exists
 */
export function* predictCentral<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  ranked = true,
): Generator<Prediction<T> | undefined, Prediction<T>> {
  const sides: Record<Side, SidePrediction<T> | null> = { left: null, right: null };
  const rest: Partial<Record<Side, () => Later>> = {};
  for (const side of SIDES) {
    const known = input.sides[side];
    const needsSpring = input.changes.some((c) => !kind.bySizeAlone(c));
    if (!known.spring && needsSpring) continue;
    if (!known.spring && !known.height && side === 'right') continue;
    const { input: own, fit, unfit } = kind.taught(input, side);
    const { prediction, later } = yield* predictSide(kind, own, side, ranked);
    sides[side] = { ...prediction, fit, unfit };
    rest[side] = later;
  }
  const told: Prediction<T> = {
    kind: kind.id,
    coreVersion: CORE_VERSION,
    sides: coupled(sides, input),
    ...kind.fasteners(input, kind.draw(input, central)),
  };
  // Heights first: the curves took four tenths of the whole answer when it was profiled.
  yield told;
  const whole = { ...told.sides };
  for (const side of SIDES) {
    const one = whole[side];
    if (!one) continue;
    whole[side] = { ...one, ...rest[side]!() };
    yield;
  }
  return { ...told, sides: whole };
}

function* predictSide<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  side: Side,
  ranked: boolean,
): Generator<undefined, { prediction: SidePrediction<T>; later: () => Later }> {
  const states = statesFor(kind, input, side);
  const lead = leadOf(kind, input, side, states.length);
  const { drawn, model } = lead;
  const changes = kind.changes(drawn);
  const extras = extraLoads(drawn, states.length);
  const heights = meanRising(kind, input, side, lead);
  const lines = linesOf(kind, drawn, heights, side, states.length);
  yield;
  const { squares, contributions } = yield* effectsOf(kind, input, lead, side, lines, ranked);

  const otherLoad = drawn.sides[side === 'left' ? 'right' : 'left'].spring?.load;
  const figures = (made: readonly T['change'][], extra: number): T['figures'] | null => {
    const own = model.figures(made, extra, ranked);
    if (!own || otherLoad === undefined) return own;
    return { ...own, frequency: bounceFrequency(own.rate, drawn.tyreRate, own.load + otherLoad + extra) };
  };
  const { jobs, ...settling } = expectedSettling(kind.settling(input), input.expects);
  const later = `expected later: settling${jobs > 0 ? `, as ${jobs} of this shop’s jobs did` : ''}`;
  const height = drawn.sides[side].height;
  const base = heights.rise([], 0);
  const predicted = states.map((state, k): StatePrediction<T> => {
    const extra = extras[k]!;
    const [old, built] = [figures([], extra), figures(changes, extra)];
    const friction = (old?.frictionHeight ?? 0) + (built?.frictionHeight ?? 0);
    const reading = input.afterReading ** 2 + (friction * frictionShare(input)) ** 2;
    const ledger = lines[k]!.map((line, j) => ({ ...line, half90: Math.sqrt(squares[k]![j]!) }));
    const total = ledger.at(-1)!;
    total.half90 = Math.max(NARROWEST_BAND, Math.sqrt(total.half90 ** 2 + reading));
    ledger.push({ kind: 'settling', label: later, ...settling });
    const change = heights.rise(changes, extra) - base;
    return {
      id: state.id,
      name: state.name,
      ledger,
      before: height,
      beforeHere: height === null ? null : height + (extra === 0 ? 0 : heights.rise([], extra) - base),
      after: height === null ? null : total.value,
      change,
      firstOrder: total.half90,
      contributions: contributions[k]!,
      old,
      built,
    };
  });
  const travel = withLoads(
    hubTravel(heights, changes, drawn.sides[side].spring?.load, drawn.hanging),
    ...([heights, changes, extras] as const),
  );
  return {
    prediction: {
      states: predicted,
      curve: [],
      fit: null,
      unfit: null,
      travel,
      ...kind.beside(drawn, model, lines[0]!),
    },
    later: () => ({
      curve: curveOf(kind, drawn, heights, model, side),
      travel: withSpringEnds(travel, model, changes),
    }),
  };
}

/** Loads of the curve as shares of the base load. */
const CURVE = Array.from({ length: 15 }, (_, k) => 0.2 + k * 0.12);

function curveOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  drawn: T['drawn'],
  heights: Rising<T['change']>,
  model: ModelOf<T>,
  side: Side,
): CurvePoint[] {
  const load = drawn.sides[side].spring?.load;
  if (!model.hasSpring || load === undefined) return [];
  const changes = kind.changes(drawn);
  const start = (drawn.sides[side].height ?? 0) - heights.rise([], 0);
  return CURVE.flatMap((share) => {
    try {
      const extra = load * (share - 1);
      return [
        {
          load: load * share,
          old: start + heights.rise([], extra),
          built: start + heights.rise(changes, extra),
          oldFriction: model.frictionHeight([], extra),
          builtFriction: model.frictionHeight(changes, extra),
        },
      ];
    } catch (error) {
      if (error instanceof CoreError) return [];
      throw error;
    }
  });
}
