import { type Expects, type SettlingId } from '../vehicle/settling';
import { type Estimate } from '../estimate/estimate';
import { type Drawn } from '../estimate/tree';
import { type JointId } from '../fastener/joints';
import { type RuleId } from '../inspection/rules';
import { type Way } from '../procedure/common';
import { type Planned, type Procedure } from '../procedure/procedure';
import { type Point, type PointGroup } from '../sheet/point';
import { type AxleSheet } from '../sheet/reading';
import { type Side } from '../vehicle/side';
import { type Verdict } from '../verdict';

/** A load aboard, as it reaches one axle. */
export interface LoadState {
  id: string;
  name: string;
  /** Mass on this axle beyond the base load state, kg. */
  extraMass: Estimate;
}

/** What every axle's input holds, whatever carries it. A kind adds its own fields. */
export interface AxleBase {
  /** The kind of suspension: its folder, and its place in the registry. */
  kind: string;
  /** Whether the vehicle was rolled before the heights were read. */
  rolled: boolean;
  sides: Record<Side, { height: Estimate | null; spring: { load: Estimate } | null }>;
  tyreRate: Estimate;
  /** Lip span over spring base: how the body carries a difference of its springs to the lips. Absent in inputs of an earlier core. */
  lipOverBase?: Estimate;
  changes: readonly { kind: string }[];
  /** Unsprung weight that hangs on each spring when the wheels are off the ground, N. */
  hanging?: number;
  /** The base load state first. */
  states: LoadState[];
  /** 90 % half-width of the height reading that will prove it, mm. */
  afterReading: number;
  /** What this shop expects from its own jobs in the place of common practice; absent where it goes by that. */
  expects?: Expects;
}

/** What any spring does in one load state of one build. A kind adds its own figures. */
export interface SpringFigures {
  /** On one spring, N. */
  load: number;
  /** Effective rate on the height of the frame, N/mm. */
  rate: number;
  /** Hz; null when the other side's load is unknown. */
  frequency: number | null;
  /** Half-width of the friction band on height, mm. */
  frictionHeight: number;
  /** Highest working stress, MPa; where its band is drawn. */
  highestStress?: number;
}

/**
 * How exactly a model is solved: for an answer, for the difference that one moved input makes, or for one of many random variants.
 * The last two may be coarser than the first; only differences to a model of the same care are used of them.
 */
export type Care = 'exact' | 'difference' | 'sample';

/** What tells how high the frame stands above the hub, up to a constant of the vehicle, mm. */
export interface Rising<C> {
  /** False when only the pieces between hub and frame are known: then no load can be asked for. */
  readonly hasSpring: boolean;
  /** @param changes made to it @param extraLoad beyond the base load, N @throws CoreError when no equilibrium exists */
  rise(changes: readonly C[], extraLoad: number): number;
}

/** Where a spring itself ends the travel of its hub, or should not go on: its steel, its shackle, its turns. */
export const SPRING_ENDS = ['packLimit', 'shackleFlat', 'coilBind', 'coilLoose', 'shearTravel'] as const;
export type SpringEndId = (typeof SPRING_ENDS)[number];
export interface SpringEnd {
  id: SpringEndId;
  /** Of the frame above the hub there, up to the model's constant, mm. */
  rise: number;
  half90: number;
}

/** One side of an axle, from which any build and load follows. Heights of the frame above the hub, up to a constant of the vehicle, mm. */
export interface SideModel<C, F extends SpringFigures> extends Rising<C> {
  /** Half-width of the friction band on height, mm; 0 without a spring. @throws CoreError as `rise` */
  frictionHeight(changes: readonly C[], extraLoad: number): number;
  /** Highest working stress of the spring, MPa; absent in kinds whose band of it is not drawn. @throws CoreError as `rise` */
  peakStress?(changes: readonly C[], extraLoad: number): number;
  /** Top of what is clamped on the axle, mm above the hub's centre: a plan that makes it higher brings it nearer to the stop. Absent where nothing is clamped on it. */
  top?(changes: readonly C[]): number;
  /** What of the spring itself ends the travel, each at most once; absent in kinds that have no such thing. */
  ends?(changes: readonly C[]): SpringEnd[];
  /** null without a spring. @param whole false leaves out what only a reader of figures wants @throws CoreError as `rise` */
  figures(changes: readonly C[], extraLoad: number, whole: boolean): F | null;
}

/** One change alone on the measured base, as a line of the ledger, mm. */
export interface ChangeLine<L extends string = string> {
  kind: L;
  label: string;
  value: number;
}

/** A reading that an answer still waits for. */
export interface Wanting<P extends string = string> {
  point: P;
  side: Side | null;
  leafId: string | null;
}

/** Readings put together into an input, as far as they go. */
export interface Assembly<I, P extends string = string> {
  input: I;
  /** In measuring order; empty when everything that needs the spring can be answered. */
  missing: Wanting<P>[];
  /** Sides whose spring cannot be solved whatever is read, and why. */
  refused: { side: Side; reason: string }[];
}

/** A plan as far as its kind asks what must fit. */
export interface KindWork<C extends string = string, S = object> {
  /** A block or another perch carries the spring afterwards. */
  located: boolean;
  /** How a leaf spring lies on the axle afterwards; null for any other, or where a wedge is of no use. */
  arrangement: 'over' | 'under' | null;
  /** What the kind itself asks. @param standing null while it is not solved */
  own: (standing: S | null) => Verdict<C>[];
}

/** What was seen of an axle and decides what there is to look at; null where nobody looked. */
export interface KindSeen {
  /** What holds a leaf spring's rear end. */
  rearEnd: string | null;
}

/** The types that a kind is made of. */
export interface KindTypes {
  /** What was read, seen and planned of its axle. */
  sheet: AxleSheet;
  input: AxleBase;
  /** The input with a number for every estimate, and one of its changes. */
  drawn: Drawn<AxleBase>;
  change: { kind: string };
  figures: SpringFigures;
  /** What its own side model can do besides. */
  model: object;
  /** What readings beyond height, load and length taught of a spring. */
  fit: object;
  /** What a prediction of one side says besides. */
  beside: object;
  /** What a prediction says of the axle's fasteners. */
  fasteners: object;
  /** Kinds of its ledger lines. */
  line: string;
  /** What it asks of what must fit, and what of a prediction those checks hang on. */
  check: string;
  standing: object;
}

/** A side in one load state before and after, as far as checks hang on it. */
export interface BuiltState<F> {
  side: Side;
  /** The state of the day. */
  today: boolean;
  old: F | null;
  built: F | null;
}

export type ModelOf<T extends KindTypes> = SideModel<T['change'], T['figures']> & T['model'];

/** An input with what its own readings taught; or why no spring comes near all of them. */
export interface Taught<T extends KindTypes> {
  input: T['input'];
  fit: T['fit'] | null;
  unfit: string | null;
}

/** Something that nobody saw and that is one of a few things, each with its chance; the likeliest first. Chances add up to 1. */
export interface Unseen<D> {
  path: string;
  may: readonly { chance: number; /** @param drawn not changed */ settle: (drawn: D) => D }[];
}

/**
 * What a page needs to know of a kind of suspension: what is read, looked at, tightened, planned and done, and what a prediction says of it.
 * Nothing in it solves a spring, so that no page loads a solver.
 */
export interface PageKind<T extends KindTypes> {
  readonly id: T['input']['kind'];
  readonly name: string;
  /** Whether its springs lie over or under the axle, and somebody must say which. */
  readonly arranged: boolean;
  /** What is read of it besides what is read of every axle, and the groups that stand in, in measuring order. */
  readonly groups: readonly PointGroup[];
  readonly points: Readonly<Record<string, Point>>;
  /** Points that every axle has, where they are read otherwise of this kind. */
  readonly calls?: Readonly<Record<string, { label: string; howTo: string }>>;
  /** What of the inspection is looked at on it, and the joints that are tightened to a figure. */
  readonly rules: readonly RuleId[];
  readonly joints: readonly JointId[];
  /** Of these, what an axle of which this was seen does not have. */
  readonly absent?: (seen: KindSeen) => { rules: readonly RuleId[]; joints: readonly JointId[] };
  /** Plain words for one of its inputs, by its path. */
  label(path: string): string;
  assemble(sheet: T['sheet']): Assembly<T['input']>;
  /** Whether the change moves the frame by sizes alone, with no spring to be solved. */
  bySizeAlone(change: T['input']['changes'][number]): boolean;
  /** Whether the spring of a side is measured far enough to be solved under any load. */
  solvable(input: T['input'], side: Side): boolean;
  /** What of the work settles. */
  settling(input: T['input']): SettlingId;
  /** What a plan asks of what must fit. */
  work(input: T['input']): KindWork<T['check'], T['standing']>;
  /** What a prediction says of it. @param states both sides in every load state */
  standing(states: readonly BuiltState<T['figures']>[], fasteners: T['fasteners']): T['standing'];
  /** What is done to it for a plan, in the order of the trade; absent where nobody has written it. */
  procedure?: (planned: readonly Planned[], way: Way) => Procedure;
  /** How far the axle's nose turns up, rad; undefined where the kind does not tell. */
  noseUp?(states: readonly BuiltState<T['figures']>[]): number | undefined;
}

/**
 * All that is known of a kind of suspension: what a page needs, and how its springs are solved. A new kind is a folder beside this file
 * that gives both, and a line in each registry.
 */
export interface SuspensionKind<T extends KindTypes> extends PageKind<T> {
  draw(input: T['input'], pick: (estimate: Estimate, path: string) => number): T['drawn'];
  changes(drawn: T['drawn']): readonly T['change'][];
  /** What the readings taught takes the place of what was assumed or computed from sizes. */
  taught(input: T['input'], side: Side): Taught<T>;
  /**
   * @param spent a model of nearly the same readings: what it has solved serves as a first guess, it must not be used any more
   * @throws CoreError when the readings contradict one another or cannot be solved
   */
  model(drawn: T['drawn'], side: Side, care: Care, spent?: ModelOf<T>): ModelOf<T>;
  /** Every change alone, in the words of the ledger. */
  lines(drawn: T['drawn'], model: Rising<T['change']>): ChangeLine<T['line']>[];
  /** Inputs that may lie on either side of zero; every other one is never drawn below it. */
  signed: RegExp;
  /** Discrete unknowns of a side. */
  unseen(input: T['input'], side: Side): Unseen<T['drawn']>[];
  /** Friction as drawn over the usual one. */
  rubbing(input: T['input'], drawn: T['drawn']): number;
  /** @param side the base load state of the side as predicted: its change lines */
  beside(drawn: T['drawn'], model: ModelOf<T>, lines: readonly ChangeLine[]): T['beside'];
  fasteners(input: T['input'], drawn: T['drawn']): T['fasteners'];
}
