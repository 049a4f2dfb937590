import { expectedSettling, type Expected, type SettlingId } from '../vehicle/settling';
import { CoreError } from '../errors';
import { type Uniform } from '../estimate/estimate';
import { predictBands, type Band } from '../prediction/band';
import { predictCentral, type Prediction, type StatePrediction } from '../prediction/central';
import { FRAME_LINES } from '../prediction/ledger';
import { leversOf, type HeightAt, type Levers } from '../prediction/levers';
import { type JointId } from '../fastener/joints';
import { type RuleId } from '../inspection/rules';
import { type Way } from '../procedure/common';
import { type Planned, type Procedure } from '../procedure/procedure';
import { COMMON_GROUPS } from '../sheet/common';
import { type PointGroup } from '../sheet/point';
import { SIDES, type Side } from '../vehicle/side';
import { type BuiltState, type KindTypes, type KindSeen, type KindWork, type SuspensionKind } from './kind';
import { COIL_BEAM, COIL_LINES, type CoilTypes } from './coilBeam/kind';
import { TANDEM_EQUALIZER, TANDEM_LINES, TANDEM_SLIPPER, type TandemTypes } from './tandem/kind';
import { LONGITUDINAL_LEAF, type LeafTypes } from './longitudinalLeaf/kind';
import { LEAF_LINES } from './longitudinalLeaf/lines';
import { CROSS_LINES, TRANSVERSE_LEAF, type CrossTypes } from './transverseLeaf/kind';

/** Every kind of suspension that can be predicted. A new kind is a folder and a line in each list of this file. */
interface Kinds {
  longitudinalLeaf: LeafTypes;
  coilBeam: CoilTypes;
  tandemEqualizer: TandemTypes<'tandemEqualizer'>;
  tandemSlipper: TandemTypes<'tandemSlipper'>;
  transverseLeaf: CrossTypes;
}
const KINDS: { [K in keyof Kinds]: SuspensionKind<Kinds[K]> } = {
  longitudinalLeaf: LONGITUDINAL_LEAF,
  coilBeam: COIL_BEAM,
  tandemEqualizer: TANDEM_EQUALIZER,
  tandemSlipper: TANDEM_SLIPPER,
  transverseLeaf: TRANSVERSE_LEAF,
};

export type KindId = keyof Kinds;
/** Kinds a job may work on. */
export const KIND_IDS = Object.keys(KINDS) as [KindId, ...KindId[]];

export type InputOf<K extends KindId> = Kinds[K]['input'];
export type PredictionOf<K extends KindId> = Prediction<Kinds[K]>;

/** Everything a prediction of any axle is made from; stored with it, never edited. */
export type AxleInput = Kinds[KindId]['input'];
export type AxlePrediction = { [K in KindId]: Prediction<Kinds[K]> }[KindId];

/** What the lines of a ledger may be. */
export const LEDGER_KINDS = [...FRAME_LINES, ...LEAF_LINES, ...COIL_LINES, ...TANDEM_LINES, ...CROSS_LINES] as const;

/** The prediction that an input gives. */
export type PredictionFor<I extends AxleInput> = I extends AxleInput ? Prediction<Kinds[I['kind']]> : never;

/** First answer for an axle of any kind, see `predictCentral`. @throws CoreError as there */
export function predictAxle<I extends AxleInput>(
  input: I,
  ranked?: boolean,
): Generator<PredictionFor<I> | undefined, PredictionFor<I>>;
export function predictAxle(input: AxleInput, ranked = true): Generator<AxlePrediction | undefined, AxlePrediction> {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return predictCentral(KINDS.longitudinalLeaf, input, ranked);
    case 'coilBeam':
      return predictCentral(KINDS.coilBeam, input, ranked);
    case 'tandemEqualizer':
      return predictCentral(KINDS.tandemEqualizer, input, ranked);
    case 'tandemSlipper':
      return predictCentral(KINDS.tandemSlipper, input, ranked);
    case 'transverseLeaf':
      return predictCentral(KINDS.transverseLeaf, input, ranked);
  }
}

/** What is read of an axle of a kind, group by group in measuring order: what every axle has, then what the kind adds. */
export const groupsOf = (kind: KindId): readonly PointGroup[] => [...COMMON_GROUPS, ...KINDS[kind].groups];

/** What is looked at, and what is tightened to a figure, of an axle of which this was seen. */
export function rulesOf(kind: KindId, seen: KindSeen): readonly RuleId[] {
  const absent = KINDS[kind].absent?.(seen).rules ?? [];
  return KINDS[kind].rules.filter((rule) => !absent.includes(rule));
}
export function jointsOf(kind: KindId, seen: KindSeen): readonly JointId[] {
  const absent = KINDS[kind].absent?.(seen).joints ?? [];
  return KINDS[kind].joints.filter((joint) => !absent.includes(joint));
}
/** What a point that every axle has is called and how it is read, where the kind reads it otherwise. */
export const callsOf = (kind: KindId, point: string): { label: string; howTo: string } | undefined =>
  KINDS[kind].calls?.[point];
/** Whether springs of a kind lie over or under their axle. */
export const arrangedOf = (kind: KindId): boolean => KINDS[kind].arranged;
/** Plain words for an input's path. */
export const labelOf = (kind: KindId, path: string): string => KINDS[kind].label(path);

/** What a plan still lacks before it can be predicted: a change, or a spring that can be solved. Empty when it can. */
export function lacksOf(input: AxleInput): Lack[] {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return lacks(KINDS.longitudinalLeaf, input);
    case 'coilBeam':
      return lacks(KINDS.coilBeam, input);
    case 'tandemEqualizer':
      return lacks(KINDS.tandemEqualizer, input);
    case 'tandemSlipper':
      return lacks(KINDS.tandemSlipper, input);
    case 'transverseLeaf':
      return lacks(KINDS.transverseLeaf, input);
  }
}

export type Lack = 'change' | 'spring';
const lacks = <T extends KindTypes>(kind: SuspensionKind<T>, input: T['input']): Lack[] => {
  const needsSpring = input.changes.some((change) => !kind.bySizeAlone(change));
  return [
    ...(input.changes.length === 0 ? ['change' as const] : []),
    ...(needsSpring && !SIDES.some((side) => input.sides[side].spring !== null) ? ['spring' as const] : []),
  ];
};

/** 90 % bands for an axle of any kind, see `predictBands`. @throws CoreError as there, and for an answer of another kind */
export function bandsOfAxle(
  input: AxleInput,
  prediction: AxlePrediction,
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (input.kind === 'longitudinalLeaf' && prediction.kind === input.kind)
    return predictBands(KINDS.longitudinalLeaf, input, prediction, uniform, samples);
  if (input.kind === 'coilBeam' && prediction.kind === input.kind)
    return predictBands(KINDS.coilBeam, input, prediction, uniform, samples);
  if (input.kind === 'tandemEqualizer' && prediction.kind === input.kind)
    return predictBands(KINDS.tandemEqualizer, input, prediction, uniform, samples);
  if (input.kind === 'tandemSlipper' && prediction.kind === input.kind)
    return predictBands(KINDS.tandemSlipper, input, prediction, uniform, samples);
  if (input.kind === 'transverseLeaf' && prediction.kind === input.kind)
    return predictBands(KINDS.transverseLeaf, input, prediction, uniform, samples);
  throw new CoreError('bad-input', 'prediction', 'this answer is of another kind of suspension than the input');
}

/** What moves the heights read after the work, for an axle of any kind, see `leversOf`. @throws CoreError as there */
export function leversOfAxle(input: AxleInput, heights: readonly HeightAt[]): Generator<void, Levers> {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return leversOf(KINDS.longitudinalLeaf, input, heights);
    case 'coilBeam':
      return leversOf(KINDS.coilBeam, input, heights);
    case 'tandemEqualizer':
      return leversOf(KINDS.tandemEqualizer, input, heights);
    case 'tandemSlipper':
      return leversOf(KINDS.tandemSlipper, input, heights);
    case 'transverseLeaf':
      return leversOf(KINDS.transverseLeaf, input, heights);
  }
}

/** What settling is expected to take after the work, mm, 90 %, in this shop. */
export function settlingOfAxle(input: AxleInput): Expected {
  const { value, half90 } = expectedSettling(settlingIdOf(input), input.expects);
  return { value, half90 };
}

/** What of the work settles. */
export function settlingIdOf(input: AxleInput): SettlingId {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return KINDS.longitudinalLeaf.settling(input);
    case 'coilBeam':
      return KINDS.coilBeam.settling(input);
    case 'tandemEqualizer':
      return KINDS.tandemEqualizer.settling(input);
    case 'tandemSlipper':
      return KINDS.tandemSlipper.settling(input);
    case 'transverseLeaf':
      return KINDS.transverseLeaf.settling(input);
  }
}

/** What of a prediction of a kind its checks hang on, the same whether it was solved just now or stored. */
export type KindStanding = { [K in KindId]: { kind: K; of: Kinds[K]['standing'] } }[KindId];
/** What the kinds ask themselves of what must fit. */
export type KindCheck = Kinds[KindId]['check'];
/** What a plan asks of what must fit, whatever carries the axle. */
export type Asked = KindWork<KindCheck, KindStanding>;

/** What a plan asks of what must fit. */
export function askedOf(input: AxleInput): Asked {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return asked(KINDS.longitudinalLeaf, input, (s) => (s.kind === 'longitudinalLeaf' ? s.of : null));
    case 'coilBeam':
      return asked(KINDS.coilBeam, input, (s) => (s.kind === 'coilBeam' ? s.of : null));
    case 'tandemEqualizer':
      return asked(KINDS.tandemEqualizer, input, pairOf);
    case 'tandemSlipper':
      return asked(KINDS.tandemSlipper, input, pairOf);
    case 'transverseLeaf':
      return asked(KINDS.transverseLeaf, input, (s) => (s.kind === 'transverseLeaf' ? s.of : null));
  }
}

/** Two axles are told alike, whatever joins them before or after. */
const pairOf = (s: KindStanding) => (s.kind === 'tandemEqualizer' || s.kind === 'tandemSlipper' ? s.of : null);

/** The kind's own question, answered only by a prediction of the same kind. */
function asked<T extends KindTypes & { check: KindCheck }>(
  kind: SuspensionKind<T>,
  input: T['input'],
  own: (standing: KindStanding) => T['standing'] | null,
): Asked {
  const work = kind.work(input);
  return { ...work, own: (standing) => work.own(standing && own(standing)) };
}

/** What a prediction says of what must fit, and how far it turns the axle's nose up. */
export function standingOf(prediction: AxlePrediction): { own: KindStanding; noseUp: number | undefined } {
  switch (prediction.kind) {
    case 'longitudinalLeaf':
      return {
        own: { kind: prediction.kind, of: standing(KINDS.longitudinalLeaf, prediction) },
        noseUp: LONGITUDINAL_LEAF.noseUp?.(builtOf<LeafTypes>(prediction.sides)),
      };
    case 'coilBeam':
      return { own: { kind: prediction.kind, of: standing(KINDS.coilBeam, prediction) }, noseUp: undefined };
    case 'tandemEqualizer':
      return { own: { kind: prediction.kind, of: standing(KINDS.tandemEqualizer, prediction) }, noseUp: undefined };
    case 'tandemSlipper':
      return { own: { kind: prediction.kind, of: standing(KINDS.tandemSlipper, prediction) }, noseUp: undefined };
    case 'transverseLeaf':
      return { own: { kind: prediction.kind, of: standing(KINDS.transverseLeaf, prediction) }, noseUp: undefined };
  }
}

const standing = <T extends KindTypes>(kind: SuspensionKind<T>, prediction: Prediction<T>): T['standing'] =>
  kind.standing(builtOf<T>(prediction.sides), prediction);

/** Both sides in every load state, before and after. */
const builtOf = <T extends KindTypes>(
  sides: Record<Side, { states: readonly Pick<StatePrediction<T>, 'old' | 'built'>[] } | null>,
): BuiltState<T['figures']>[] =>
  SIDES.flatMap((side) =>
    (sides[side]?.states ?? []).map(({ old, built }, k) => ({ side, today: k === 0, old, built })),
  );

/** What is done to an axle for a plan; null where nobody has written it for its kind. */
export const procedureOf = (kind: KindId, planned: readonly Planned[], way: Way): Procedure | null =>
  KINDS[kind].procedure?.(planned, way) ?? null;
