import { type Uniform } from '../estimate/estimate';
import { predictBands, type Band } from '../prediction/band';
import { predictCentral, type Prediction } from '../prediction/central';
import { FRAME_LINES } from '../prediction/ledger';
import { type Side } from '../vehicle/side';
import { type SuspensionKind } from './kind';
import { LONGITUDINAL_LEAF, type LeafTypes } from './longitudinalLeaf/kind';
import { LEAF_LINES } from './longitudinalLeaf/lines';

/** Every kind of suspension that can be predicted. A new kind is a folder and a line in each of these. */
interface Kinds {
  longitudinalLeaf: LeafTypes;
}
const KINDS: { [K in keyof Kinds]: SuspensionKind<Kinds[K]> } = { longitudinalLeaf: LONGITUDINAL_LEAF };

export type KindId = keyof Kinds;
export const KIND_IDS = Object.keys(KINDS) as [KindId, ...KindId[]];

/** Everything a prediction of any axle is made from; stored with it, never edited. */
export type AxleInput = Kinds[KindId]['input'];
export type AxlePrediction = { [K in KindId]: Prediction<Kinds[K]> }[KindId];

/** What the lines of a ledger may be. */
export const LEDGER_KINDS = [...FRAME_LINES, ...LEAF_LINES] as const;

type TypesOf<I extends AxleInput> = Kinds[I['kind']];

/** The kind of suspension of an axle. */
export const kindOf = <I extends AxleInput>(input: I): SuspensionKind<TypesOf<I>> => KINDS[input.kind];

/** First answer for an axle of any kind, see `predictCentral`. @throws CoreError as there */
export const predictAxle = <I extends AxleInput>(input: I, ranked = true): Generator<void, Prediction<TypesOf<I>>> =>
  predictCentral(kindOf(input), input, ranked);

/** 90 % bands for an axle of any kind, see `predictBands`. @throws CoreError as there */
export const bandsOfAxle = <I extends AxleInput>(
  input: I,
  prediction: Prediction<TypesOf<I>>,
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> => predictBands(kindOf(input), input, prediction, uniform, samples);
