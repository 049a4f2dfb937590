import { expectedSettling, type Expected, type SettlingId } from '../vehicle/settling';
import { type Prediction, type StatePrediction } from '../prediction/central';
import { FRAME_LINES } from '../prediction/ledger';
import { type JointId } from '../fastener/joints';
import { type RuleId } from '../inspection/rules';
import { type Way } from '../procedure/common';
import { type Planned, type Procedure } from '../procedure/procedure';
import { COMMON_GROUPS } from '../sheet/common';
import { type PointGroup } from '../sheet/point';
import { SIDES, type Side } from '../vehicle/side';
import { type BuiltState, type KindTypes, type KindSeen, type KindWork, type PageKind } from './kind';
import {
  COIL_BEAM_ON_PAGE,
  COIL_LINES,
  COIL_OVER_ON_PAGE,
  TORSION_BEAM_ON_PAGE,
  TWIN_BEAM_ON_PAGE,
  type CoilTypes,
} from './coil/onPage';
import { EQUALIZER_ON_PAGE, SLIPPER_ON_PAGE, TANDEM_LINES, type TandemTypes } from './tandem/onPage';
import { LEAF_ON_PAGE, type LeafTypes } from './longitudinalLeaf/onPage';
import { SHEAR_LINES, SHEAR_ON_PAGE, type ShearTypes } from './rubberShear/onPage';
import { CROSS_LINES, CROSS_ON_PAGE, type CrossTypes } from './transverseLeaf/onPage';
import { LEAF_LINES } from './longitudinalLeaf/lines';

/** Every kind of suspension, as far as a page needs it; how they are solved stands in `solvers`. A new kind is a folder and a line in each list of both files. */
export interface Kinds {
  longitudinalLeaf: LeafTypes;
  coilBeam: CoilTypes<'coilBeam'>;
  tandemEqualizer: TandemTypes<'tandemEqualizer'>;
  tandemSlipper: TandemTypes<'tandemSlipper'>;
  transverseLeaf: CrossTypes;
  twinBeam: CoilTypes<'twinBeam'>;
  torsionBeam: CoilTypes<'torsionBeam'>;
  coilOver: CoilTypes<'coilOver'>;
  rubberShear: ShearTypes;
}
const KINDS: { [K in keyof Kinds]: PageKind<Kinds[K]> } = {
  longitudinalLeaf: LEAF_ON_PAGE,
  coilBeam: COIL_BEAM_ON_PAGE,
  tandemEqualizer: EQUALIZER_ON_PAGE,
  tandemSlipper: SLIPPER_ON_PAGE,
  transverseLeaf: CROSS_ON_PAGE,
  twinBeam: TWIN_BEAM_ON_PAGE,
  torsionBeam: TORSION_BEAM_ON_PAGE,
  coilOver: COIL_OVER_ON_PAGE,
  rubberShear: SHEAR_ON_PAGE,
};

export type KindId = keyof Kinds;
/** Kinds a job may work on. */
export const KIND_IDS = Object.keys(KINDS) as [KindId, ...KindId[]];

export type InputOf<K extends KindId> = Kinds[K]['input'];
export type PredictionOf<K extends KindId> = Prediction<Kinds[K]>;
export type FiguresOf<K extends KindId> = Kinds[K]['figures'];
export type StateOf<K extends KindId> = StatePrediction<Kinds[K]>;

/** Everything a prediction of any axle is made from; stored with it, never edited. */
export type AxleInput = Kinds[KindId]['input'];
export type AxlePrediction = { [K in KindId]: Prediction<Kinds[K]> }[KindId];

/** What the lines of a ledger may be. */
export const LEDGER_KINDS = [
  ...FRAME_LINES,
  ...LEAF_LINES,
  ...COIL_LINES,
  ...TANDEM_LINES,
  ...CROSS_LINES,
  ...SHEAR_LINES,
] as const;

/** The prediction that an input gives. */
export type PredictionFor<I extends AxleInput> = I extends AxleInput ? Prediction<Kinds[I['kind']]> : never;

/**
 * A kind with an input or an answer of its own. That the two belong together a compiler cannot follow across a union: it is said here,
 * once, in the types of one kind that stands for any.
 */
interface Own {
  kind: PageKind<LeafTypes>;
  input: LeafTypes['input'];
}
const ownOf = (input: AxleInput): Own => ({ kind: KINDS[input.kind], input }) as unknown as Own;
const answerOf = (told: AxlePrediction) =>
  ({ kind: KINDS[told.kind], told }) as unknown as Pick<Own, 'kind'> & { told: Prediction<LeafTypes> };

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
  const own = ownOf(input);
  const needsSpring = own.input.changes.some((change) => !own.kind.bySizeAlone(change));
  return [
    ...(input.changes.length === 0 ? ['change' as const] : []),
    ...(needsSpring && !SIDES.some((side) => input.sides[side].spring !== null) ? ['spring' as const] : []),
  ];
}
export type Lack = 'change' | 'spring';

/** What settling is expected to take after the work, mm, 90 %, in this shop. */
export function settlingOfAxle(input: AxleInput): Expected {
  const { value, half90 } = expectedSettling(settlingIdOf(input), input.expects);
  return { value, half90 };
}

/** What of the work settles. */
export function settlingIdOf(input: AxleInput): SettlingId {
  const own = ownOf(input);
  return own.kind.settling(own.input);
}

/** What of a prediction of a kind its checks hang on, the same whether it was solved just now or stored. */
export type KindStanding = { [K in KindId]: { kind: K; of: Kinds[K]['standing'] } }[KindId];
/** What the kinds ask themselves of what must fit. */
export type KindCheck = Kinds[KindId]['check'];
/** What a plan asks of what must fit, whatever carries the axle. */
export type Asked = KindWork<KindCheck, KindStanding>;

/** Kinds whose predictions tell alike what their checks hang on; a stored one is known by the first of its family. */
const FAMILY: Record<KindId, KindId> = {
  longitudinalLeaf: 'longitudinalLeaf',
  coilBeam: 'coilBeam',
  tandemEqualizer: 'tandemEqualizer',
  tandemSlipper: 'tandemEqualizer',
  transverseLeaf: 'transverseLeaf',
  twinBeam: 'coilBeam',
  torsionBeam: 'coilBeam',
  coilOver: 'coilBeam',
  rubberShear: 'rubberShear',
};

/** What a plan asks of what must fit; the kind's own question is answered only by a prediction of its family. */
export function askedOf(input: AxleInput): Asked {
  const own = ownOf(input);
  const work = own.kind.work(own.input);
  return {
    ...work,
    own: (standing) =>
      work.own(
        standing && FAMILY[standing.kind] === FAMILY[input.kind] ? (standing.of as LeafTypes['standing']) : null,
      ),
  };
}

/** What a prediction says of what must fit, and how far it turns the axle's nose up. */
export function standingOf(prediction: AxlePrediction): { own: KindStanding; noseUp: number | undefined } {
  const { kind, told } = answerOf(prediction);
  const states = builtOf<LeafTypes>(told.sides);
  return {
    own: { kind: prediction.kind, of: kind.standing(states, told) } as KindStanding,
    noseUp: kind.noseUp?.(states),
  };
}

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
