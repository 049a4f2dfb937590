import { type Expects } from '../../vehicle/settling';
import { type Fitted, type HelperDevice } from '../../mechanics/helper/curve';
import { type ShackleEye } from '../../mechanics/linkage/installed';
import { type LoadState } from '../kind';
import { type Side } from '../../vehicle/side';
import { type Arrangement } from '../../mechanics/stack/stack';
import { type EyeForm } from '../../mechanics/leafpack/eyes';
import { type Estimate } from '../../estimate/estimate';
import { type Drawn } from '../../estimate/tree';

/** A leaf that nests in the pack, or one below it that is nearly flat and comes in under load. */
export const LEAF_ROLES = ['graded', 'overload'] as const;
export type LeafRole = (typeof LEAF_ROLES)[number];

/**
 * What the seat does to the leaves: the clamp bends them flat over it; they keep their curve; or their maker formed them flat there,
 * so that the clamp bends nothing.
 */
export const SEAT_SHAPES = ['flat', 'concentric', 'formed'] as const;
export type SeatShape = (typeof SEAT_SHAPES)[number];

/** One leaf as measured, from the main leaf down. */
export interface LeafInput {
  front: Estimate;
  rear: Estimate;
  thickness: Estimate;
  /** Departure of its free curvature from nesting, as a share of the main leaf's; value 0 when assumed nested. */
  departure: Estimate;
  /** What it is in its pack; a plain leaf when not said. Unknown is carried into the band. */
  role?: LeafRole | 'unknown';
  /** Its own free shape, read off the pack: then it hangs on no other leaf. */
  own?: { camber: Estimate; chord: Estimate };
  /** At its tips, where it thins out towards them; absent for a leaf of even thickness. */
  tip?: Estimate;
  /** Clips it carries round the leaves above it, from the centre bolt along it. */
  clips?: { front?: Estimate; rear?: Estimate };
}

export interface PackInput {
  leaves: LeafInput[];
  width: Estimate;
  /** Distance over which the U-bolts hold the pack, mm. */
  seatLength: Estimate;
  /** Share κ of the seat length that does not bend. */
  inactive: Estimate;
  /** Unknown is carried into the band. */
  seatShape: SeatShape | 'unknown';
  /** Length that the maker formed flat, mm, where that is so or may be; absent in inputs of an earlier core. */
  formedFlat?: Estimate;
  friction: Estimate;
  /** Eye centre above (+) or below (−) the main leaf's mid-surface, mm: the front eye's, and the rear one's where it differs. */
  eyeOffset: Estimate;
  eyeOffsetRear?: Estimate;
  /** Whose form nobody saw: the offsets are those of upturned eyes, and other forms are carried into the band. */
  eyesUnseen?: 'both' | 'front' | 'rear';
  /** Daylight over the tips of the overload leaf in the state of the day, mm; its own curve follows from it. */
  overloadGap?: Estimate;
  /** Between any two leaves, and at their tips besides, mm; absent for steel on steel. */
  liner?: Estimate;
  tipPad?: Estimate;
  /** What opens before a clip pulls, mm; absent without clips. */
  clipPlay?: Estimate;
  /** Rate over the one computed from the leaves' sizes, once readings have taught it. */
  rateFactor?: Estimate;
}

/** What one side's spring was measured to do in the base load state. */
export interface SpringInput {
  /** Eye line to the main leaf's top face at the pin, mm. */
  archTop: Estimate;
  /** Sprung load, N. */
  load: Estimate;
  /** Free arch as read on the bench, where a planned pack is known by its own and the difference counts; to the top face. */
  freeArch?: Estimate;
  /** What else was read of this spring: checks it, and teaches its rate and its seat. */
  more?: MoreReadings;
  /** A leaf (never the main one) found broken in this pack, mm from the pin; it was broken when the readings were taken. */
  broken?: { leaf: number; end: 'front' | 'rear'; at: number };
}

export interface MoreReadings {
  /** On the bench, centre bolt only: eye line to the main leaf's top face, mm. */
  freeArchTop: Estimate | null;
  /** In other load states, each with its own load. */
  states: { name: string; load: Estimate; archTop: Estimate | null; height: Estimate | null }[];
  /** In a press, centre bolt only; forces are the press's own, N. */
  press?: { force: number; archTop: Estimate; branch: 'loading' | 'unloading' }[];
}

/** One planned change. Lengths mm. */
export type Change =
  | { kind: 'addLeaf'; front: Estimate; rear: Estimate; thickness: Estimate; camber: Estimate; chord: Estimate }
  /** Block height after the work; 0 = none. */
  | { kind: 'block'; height: Estimate }
  /** A wedge between spring and axle, its height in the middle. */
  | { kind: 'wedge'; angle: Estimate; height: Estimate; thick: 'front' | 'rear' }
  | { kind: 'shackle'; length: Estimate }
  /** A leaf below the main one taken out; 0 = main, as the pack stands. */
  | { kind: 'removeLeaf'; leaf: number }
  /** Another pack in the place of the old one. `used` packs have settled. */
  | {
      kind: 'pack';
      leaves: { front: Estimate; rear: Estimate; thickness: Estimate; camber: Estimate; chord: Estimate }[];
      width: Estimate;
      eyeOffset: Estimate;
      /** Nobody told their form, as in `PackInput`. */
      eyesUnseen?: 'both';
      used: boolean;
      /** Its curve was told by the free arch of the whole pack, read as the old pack's is. */
      byFreeArch?: boolean;
    }
  /** All leaves curved anew by a specialist, this much more camber over the main leaf's length. */
  | { kind: 'rearch'; camber: Estimate }
  /** The same main leaf with its eyes rolled otherwise: eye centre above its mid-surface. */
  | { kind: 'eyes'; form: EyeForm; offset: Estimate }
  /** The broken leaf of either side replaced by its like. */
  | { kind: 'mendLeaf' }
  /** Spring moved from under to over the axle, on a perch of this height. */
  | { kind: 'overAxle'; perch: Estimate }
  /** A spring that helps the pack from beside it, between frame and axle. */
  | {
      kind: 'helper';
      device: HelperDevice;
      /** There before the work: its part of today's load is not the pack's. */
      fitted?: Fitted;
      /** Left until it touches, in the height of the day; negative where it is fitted pressed. */
      gap: Estimate;
      stroke: number;
      /** By its maker, at even shares of its stroke, N. */
      forces: number[];
      /** What it presses over that. */
      share: Estimate;
    };

/** Everything a prediction is made from; stored with it, never edited. */
export interface LeafAxleInput {
  schemaVersion: 2;
  kind: 'longitudinalLeaf';
  arrangement: Arrangement;
  block: Estimate;
  tubeDiameter: Estimate;
  perch: Estimate;
  /** Whether the vehicle was rolled before the heights were read. */
  rolled: boolean;
  pack: PackInput | null;
  /** The pack of a side that is unlike the other's; `pack` is then the other side's. */
  own?: { side: Side; pack: PackInput | null };
  /**
   * `eye` against its pivot: hanging below it when not said. `at` the end of the spring that hangs on it: the rear one when not said.
   * Absent where the rear end slides under a pad.
   */
  shackle?: { length: Estimate; angle: Estimate; eye?: ShackleEye; at?: 'front' };
  /** The rear end slides under a pad of the frame of this slope, rad, rising rearwards; there is no shackle then. (Inputs of core 0.4.0 carried one besides, of no effect.) */
  pad?: {
    slope: Estimate;
    /** Between leaf and pad; absent in inputs of an earlier core, which left it out. */
    friction?: Estimate;
  };
  sides: Record<Side, { height: Estimate | null; spring: SpringInput | null }>;
  tyreRate: Estimate;
  /** Lip span over spring base; absent in inputs of an earlier core. */
  lipOverBase?: Estimate;
  ubolt: { exposed: number; pitch: number; threaded?: number | undefined; nutHeight?: number | undefined } | null;
  centreBolt: { nutHeight: number; pitch: number; origin: 'measured' | 'assumed' };
  changes: Change[];
  /** Unsprung weight that hangs on each spring when the wheels are off the ground, N. */
  hanging?: number;
  /** The base load state first. */
  states: LoadState[];
  /** 90 % half-width of the height reading that will prove it, mm. */
  afterReading: number;
  /** See `AxleBase`. */
  expects?: Expects;
}

/** The same with a number for every estimate. */
export type DrawnInput = Drawn<LeafAxleInput>;
export type DrawnChange = Drawn<Change>;

/** The input as one side has it: its own pack where it is unlike the other side's. */
export function inputOfSide(input: LeafAxleInput, side: Side): LeafAxleInput {
  const { own, ...rest } = input;
  if (!own) return input;
  return own.side === side ? { ...rest, pack: own.pack } : rest;
}
