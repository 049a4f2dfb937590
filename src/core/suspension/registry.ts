import { CoreError } from '../errors';
import { type Uniform } from '../estimate/estimate';
import { predictBands, type Band } from '../prediction/band';
import { predictCentral, type Prediction } from '../prediction/central';
import { FRAME_LINES } from '../prediction/ledger';
import { type Side } from '../vehicle/side';
import { type SuspensionKind } from './kind';
import { COIL_BEAM, COIL_LINES, type CoilTypes } from './coilBeam/kind';
import { LONGITUDINAL_LEAF, type LeafTypes } from './longitudinalLeaf/kind';
import { LEAF_LINES } from './longitudinalLeaf/lines';

/** Every kind of suspension that can be predicted. A new kind is a folder and a line in each list of this file. */
interface Kinds {
  longitudinalLeaf: LeafTypes;
  coilBeam: CoilTypes;
}
const KINDS: { [K in keyof Kinds]: SuspensionKind<Kinds[K]> } = {
  longitudinalLeaf: LONGITUDINAL_LEAF,
  coilBeam: COIL_BEAM,
};

type KindId = keyof Kinds;

/** Everything a prediction of any axle is made from; stored with it, never edited. */
export type AxleInput = Kinds[KindId]['input'];
export type AxlePrediction = { [K in KindId]: Prediction<Kinds[K]> }[KindId];

/** What the lines of a ledger may be. */
export const LEDGER_KINDS = [...FRAME_LINES, ...LEAF_LINES, ...COIL_LINES] as const;

type PredictionOf<I extends AxleInput> = I extends AxleInput ? Prediction<Kinds[I['kind']]> : never;

/** First answer for an axle of any kind, see `predictCentral`. @throws CoreError as there */
export function predictAxle<I extends AxleInput>(input: I, ranked?: boolean): Generator<void, PredictionOf<I>>;
export function predictAxle(input: AxleInput, ranked = true): Generator<void, AxlePrediction> {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return predictCentral(KINDS.longitudinalLeaf, input, ranked);
    case 'coilBeam':
      return predictCentral(KINDS.coilBeam, input, ranked);
  }
}

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
  throw new CoreError('bad-input', 'prediction', 'this answer is of another kind of suspension than the input');
}
