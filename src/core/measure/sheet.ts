import { type Arrangement } from '../stack/stack';
import { axleShares } from '../height/load';
import { type Side } from '../height/axleInput';
import { type AxleClass, type EyeForm, type PointId } from './points';

export type Phase = 'before' | 'after';

/** The current reading of one point: what was typed is kept by the caller, the core sees the value. */
export interface SheetReading {
  point: PointId;
  phase: Phase;
  side: Side | null;
  leafId: string | null;
  stateId: string | null;
  /** Core units. */
  value: number;
  rolled: boolean | null;
}

/** A load state of the job: ordinal 0 is the state of the day. */
export interface SheetState {
  id: string;
  name: string;
  /** kg beyond the state of the day. */
  addedMass: number;
  /** mm behind the front axle. */
  station: number;
}

/** A planned change as it was entered; lengths mm. */
export type PlannedChange =
  | {
      kind: 'addLeaf';
      front: number;
      rear: number;
      thickness: number;
      camber: number;
      source: 'measured' | 'catalogue';
    }
  | { kind: 'block'; height: number }
  | { kind: 'shackle'; length: number }
  | { kind: 'overAxle'; height: number };

/** Everything of one job's axle that a prediction needs. */
export interface Sheet {
  axle: { position: 'front' | 'rear'; arrangement: Arrangement; axleClass: AxleClass };
  wheelbase: number;
  pack: { eyeForm: EyeForm | null; seatShape: 'flat' | 'concentric' | 'unknown'; rusty: boolean };
  /** Main leaf first. */
  leafIds: readonly string[];
  readings: readonly SheetReading[];
  /** The state of the day first. */
  states: readonly SheetState[];
  changes: readonly PlannedChange[];
}

export interface Lookup {
  point: PointId;
  phase?: Phase;
  side?: Side | null;
  leafId?: string | null;
  stateId?: string | null;
}

export function readingAt(sheet: Pick<Sheet, 'readings'>, at: Lookup): SheetReading | undefined {
  return sheet.readings.find(
    (r) =>
      r.point === at.point &&
      r.phase === (at.phase ?? 'before') &&
      r.side === (at.side ?? null) &&
      r.leafId === (at.leafId ?? null) &&
      r.stateId === (at.stateId ?? null),
  );
}

/** Mass that a load state adds to this axle beyond the state of the day, kg. */
export function extraAxleMass(sheet: Pick<Sheet, 'axle' | 'wheelbase'>, state: SheetState): number {
  if (state.addedMass === 0) return 0;
  return axleShares({ mass: state.addedMass, station: state.station }, sheet.wheelbase)[sheet.axle.position];
}
