import { type Fitted, type HelperDevice } from '../../mechanics/helper/curve';
import { type RearEnd } from '../../mechanics/linkage/rearEnds';
import { type AxleClass } from '../../sheet/axleClass';
import { type Lookup, type SheetReading, type SheetState } from '../../sheet/reading';
import { leafPointOf, type LeafPoint } from './points';
import { type Arrangement } from '../../mechanics/stack/stack';
import { type Side } from '../../vehicle/side';
import { type LeafRole, type SeatShape } from './input';
import { type EyeForm } from '../../mechanics/leafpack/eyes';
import { type PartSource } from './partEstimates';

/** A reading of an axle on leaf springs, and where one is looked up. */
export type LeafReading = SheetReading<LeafPoint>;
export type LeafLookup = Lookup<LeafPoint>;

/** A planned change as it was entered; lengths mm. */
export type PlannedChange =
  | {
      kind: 'addLeaf';
      front: number;
      rear: number;
      thickness: number;
      camber: number;
      /** False where it was only reckoned. */
      camberKnown?: boolean;
      source: PartSource;
    }
  /** `leaf` counts from the main leaf, 1. */
  | { kind: 'removeLeaf'; leaf: number }
  | {
      kind: 'pack';
      leaves: { front: number; rear: number; thickness: number; camber: number; camberKnown: boolean }[];
      width: number;
      eyeForm: EyeForm | null;
      eyeBore: number | null;
      used: boolean;
      source: PartSource;
      /** Its curve is told by the free arch of the whole pack, read as the old pack's was. */
      byFreeArch?: boolean;
    }
  | { kind: 'rearch'; camber: number }
  | { kind: 'eyes'; form: EyeForm }
  | { kind: 'block'; height: number; source?: PartSource }
  | { kind: 'wedge'; angle: number; height: number; thick: 'front' | 'rear' }
  | { kind: 'shackle'; length: number; source?: PartSource }
  | { kind: 'overAxle'; height: number }
  /** `carries` in kg at even shares of the stroke. */
  | {
      kind: 'helper';
      device: HelperDevice;
      fitted?: Fitted;
      gap: number;
      stroke: number;
      carries: number[];
      source?: PartSource;
    };

export interface PressPoint {
  force: number;
  archTop: number;
  branch: 'loading' | 'unloading';
}

/** Everything of one job's axle that a prediction needs. */
export interface Sheet {
  axle: { position: 'front' | 'rear'; arrangement: Arrangement; axleClass: AxleClass };
  wheelbase: number;
  pack: {
    eyeForm: EyeForm | null;
    /** null where it is like the front one. */
    eyeFormRear?: EyeForm | null;
    seatShape: SeatShape | 'unknown';
    /** What the lowest leaf is; null when nobody looked. */
    lowestLeaf?: LeafRole | null;
    /** What holds the rear end, of both springs; null when nobody looked. */
    rearEnd?: RearEnd | null;
    /** The end that hangs on the shackle, of both springs; the rear one when nobody looked. */
    shackleAt?: 'front' | 'rear' | null;
    rusty: boolean;
  };
  /** Main leaf first. */
  leafIds: readonly string[];
  /** The side whose pack is unlike the other's, with that pack; absent where one stands for both. */
  own?: { side: Side; pack: Sheet['pack']; leafIds: readonly string[] };
  readings: readonly LeafReading[];
  /** The state of the day first. */
  states: readonly SheetState[];
  changes: readonly PlannedChange[];
  /** Load-deflection runs; force N, arch from the eye line to the main leaf's top face, mm. */
  press?: readonly { side: Side; points: readonly PressPoint[] }[];
  /** Leaves found broken, mm from the pin; a plan makes them good. */
  broken?: readonly { side: Side; leafId: string; end: 'front' | 'rear'; at: number }[];
  /** Sides whose main leaf is broken, wherever. */
  brokenMain?: readonly Side[];
  /** Sides with a broken leaf of which nobody said which or where. */
  brokenUnplaced?: readonly Side[];
}

/**
 * The sheet as one side's spring has it: where its pack is unlike the other side's, its own facts, leaves and readings stand in the
 * place of those of both. Any rule for one pack may be asked of it.
 */
export function sheetOfSide(sheet: Sheet, side: Side): Sheet {
  const { own, ...rest } = sheet;
  if (!own) return sheet;
  if (own.side !== side) return { ...rest, readings: sheet.readings.filter((r) => !ofOwn(r, own.side)) };
  const readings = sheet.readings.flatMap((r) => {
    if (!leafPointOf(r.point).ofSpring) return [r];
    return ofOwn(r, side) ? [{ ...r, side: null }] : [];
  });
  const { rearEnd = null, shackleAt = null } = sheet.pack;
  return { ...rest, pack: { ...own.pack, rearEnd, shackleAt }, leafIds: own.leafIds, readings };
}

const ofOwn = (r: LeafReading, side: Side): boolean => leafPointOf(r.point).ofSpring && r.side === side;
