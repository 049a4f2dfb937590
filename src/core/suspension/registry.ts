import { CoreError } from '../errors';
import { type Uniform } from '../estimate/estimate';
import { predictBands, type Band } from '../prediction/band';
import { predictCentral, type Prediction } from '../prediction/central';
import { FRAME_LINES } from '../prediction/ledger';
import { type JointId } from '../fastener/joints';
import { type RuleId } from '../inspection/rules';
import { type RearEnd } from '../mechanics/linkage/installed';
import { COMMON_GROUPS } from '../sheet/common';
import { type PointGroup } from '../sheet/point';
import { SIDES, type Side } from '../vehicle/side';
import { type KindTypes, type SuspensionKind } from './kind';
import { COIL_BEAM, COIL_LINES, type CoilTypes } from './coilBeam/kind';
import { TANDEM_EQUALIZER, TANDEM_LINES, TANDEM_SLIPPER, type TandemTypes } from './tandem/kind';
import { LONGITUDINAL_LEAF, type LeafTypes } from './longitudinalLeaf/kind';
import { LEAF_LINES } from './longitudinalLeaf/lines';

/** Every kind of suspension that can be predicted. A new kind is a folder and a line in each list of this file. */
interface Kinds {
  longitudinalLeaf: LeafTypes;
  coilBeam: CoilTypes;
  tandemEqualizer: TandemTypes<'tandemEqualizer'>;
  tandemSlipper: TandemTypes<'tandemSlipper'>;
}
const KINDS: { [K in keyof Kinds]: SuspensionKind<Kinds[K]> } = {
  longitudinalLeaf: LONGITUDINAL_LEAF,
  coilBeam: COIL_BEAM,
  tandemEqualizer: TANDEM_EQUALIZER,
  tandemSlipper: TANDEM_SLIPPER,
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
export const LEDGER_KINDS = [...FRAME_LINES, ...LEAF_LINES, ...COIL_LINES, ...TANDEM_LINES] as const;

/** The prediction that an input gives. */
export type PredictionFor<I extends AxleInput> = I extends AxleInput ? Prediction<Kinds[I['kind']]> : never;

/** First answer for an axle of any kind, see `predictCentral`. @throws CoreError as there */
export function predictAxle<I extends AxleInput>(input: I, ranked?: boolean): Generator<void, PredictionFor<I>>;
export function predictAxle(input: AxleInput, ranked = true): Generator<void, AxlePrediction> {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return predictCentral(KINDS.longitudinalLeaf, input, ranked);
    case 'coilBeam':
      return predictCentral(KINDS.coilBeam, input, ranked);
    case 'tandemEqualizer':
      return predictCentral(KINDS.tandemEqualizer, input, ranked);
    case 'tandemSlipper':
      return predictCentral(KINDS.tandemSlipper, input, ranked);
  }
}

/** What is read of an axle of a kind, group by group in measuring order: what every axle has, then what the kind adds. */
export const groupsOf = (kind: KindId): readonly PointGroup[] => [...COMMON_GROUPS, ...KINDS[kind].groups];

/** @param rearEnd what holds a leaf spring's rear end, where somebody looked: under a pad there is no shackle to look at or to tighten */
export const rulesOf = (kind: KindId, rearEnd: RearEnd | null): readonly RuleId[] =>
  KINDS[kind].rules.filter((rule) => rearEnd !== 'pad' || rule !== 'shackle');
export const jointsOf = (kind: KindId, rearEnd: RearEnd | null): readonly JointId[] =>
  KINDS[kind].joints.filter((joint) => rearEnd !== 'pad' || (joint !== 'shackleFrame' && joint !== 'shackleEye'));
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
  throw new CoreError('bad-input', 'prediction', 'this answer is of another kind of suspension than the input');
}
