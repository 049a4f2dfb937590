import { CoreError } from '../errors';
import { type Uniform } from '../estimate/estimate';
import { patternOf, type FleetPattern } from '../fleet/pattern';
import { predictBands, type Band } from '../prediction/band';
import { predictCentral, type Prediction } from '../prediction/central';
import { leversOf, type HeightAt, type Levers } from '../prediction/levers';
import { type Side } from '../vehicle/side';
import { COIL_BEAM, COIL_OVER, TORSION_BEAM, TWIN_BEAM } from './coil/kind';
import { type SuspensionKind } from './kind';
import { LONGITUDINAL_LEAF } from './longitudinalLeaf/kind';
import { type LeafTypes } from './longitudinalLeaf/onPage';
import { type AxleInput, type AxlePrediction, type Kinds, type PredictionFor } from './registry';
import { RUBBER_SHEAR } from './rubberShear/kind';
import { TANDEM_EQUALIZER, TANDEM_SLIPPER } from './tandem/kind';
import { TRANSVERSE_LEAF } from './transverseLeaf/kind';

/** Every kind of suspension with its solver: for workers and the server, never for a page. */
const SOLVERS: { [K in keyof Kinds]: SuspensionKind<Kinds[K]> } = {
  longitudinalLeaf: LONGITUDINAL_LEAF,
  coilBeam: COIL_BEAM,
  tandemEqualizer: TANDEM_EQUALIZER,
  tandemSlipper: TANDEM_SLIPPER,
  transverseLeaf: TRANSVERSE_LEAF,
  twinBeam: TWIN_BEAM,
  torsionBeam: TORSION_BEAM,
  coilOver: COIL_OVER,
  rubberShear: RUBBER_SHEAR,
};

/** A kind with an input of its own; that the two belong together is said here once, as in the registry. */
const ownOf = (input: AxleInput) =>
  ({ kind: SOLVERS[input.kind], input }) as unknown as {
    kind: SuspensionKind<LeafTypes>;
    input: LeafTypes['input'];
  };

/** First answer for an axle of any kind, see `predictCentral`. @throws CoreError as there */
export function predictAxle<I extends AxleInput>(
  input: I,
  ranked?: boolean,
): Generator<PredictionFor<I> | undefined, PredictionFor<I>>;
export function predictAxle(input: AxleInput, ranked = true): Generator<AxlePrediction | undefined, AxlePrediction> {
  const own = ownOf(input);
  return predictCentral(own.kind, own.input, ranked);
}

/** 90 % bands for an axle of any kind, see `predictBands`. @throws CoreError as there, and for an answer of another kind */
export function bandsOfAxle(
  input: AxleInput,
  prediction: AxlePrediction,
  uniform: Uniform,
  samples: number,
): Generator<number, Record<Side, Band[] | null>> {
  if (prediction.kind !== input.kind)
    throw new CoreError('bad-input', 'prediction', 'this answer is of another kind of suspension than the input');
  const own = ownOf(input);
  return predictBands(own.kind, own.input, prediction as Prediction<LeafTypes>, uniform, samples);
}

/** What moves the heights read after the work, for an axle of any kind, see `leversOf`. @throws CoreError as there */
export function leversOfAxle(input: AxleInput, heights: readonly HeightAt[]): Generator<void, Levers> {
  const own = ownOf(input);
  return leversOf(own.kind, own.input, heights);
}

/** What a plan does to one axle and how that hangs on its readings, see `patternOf`. @throws CoreError as there */
export function patternOfAxle(input: AxleInput): FleetPattern {
  const own = ownOf(input);
  const side = own.input.sides.left.spring ? 'left' : 'right';
  return patternOf(own.kind, own.input, side);
}
