import { type Estimate } from '../estimate/estimate';
import { axleShares } from '../vehicle/load';
import { type Side } from '../vehicle/side';

export type Phase = 'before' | 'after';

/** The current reading of one point: what was typed is kept by the caller, the core sees the value. */
export interface SheetReading<P extends string = string> {
  point: P;
  phase: Phase;
  side: Side | null;
  leafId: string | null;
  stateId: string | null;
  /** Core units. */
  value: number;
  rolled: boolean | null;
  /** What it was read with; a weigh ticket is better than an estimate. */
  instrument?: string;
  /** Share of a full tank when it was read; null or absent when nobody looked. */
  fuel?: number | null;
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

/** What a load is made of. */
export const LOAD_KINDS = ['fuel', 'crew', 'tools', 'tongue', 'cargo'] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];

/**
 * Mass and middle of several items: the one mass that does the same to both axles. Items that weigh nothing together have
 * their middle at 0. @param items kg and mm behind the front axle
 */
export function lumped(items: readonly { mass: number; station: number }[]): { mass: number; station: number } {
  const mass = items.reduce((sum, item) => sum + item.mass, 0);
  const moment = items.reduce((sum, item) => sum + item.mass * item.station, 0);
  return { mass, station: mass === 0 ? 0 : moment / mass };
}

/** What is known of a vehicle and one of its axles before anything is asked of its kind. */
export interface AxleSheet<P extends string = string> {
  axle: { position: 'front' | 'rear' };
  wheelbase: number;
  readings: readonly SheetReading<P>[];
  /** The state of the day first. */
  states: readonly SheetState[];
}

export interface Lookup<P extends string = string> {
  point: P;
  phase?: Phase;
  side?: Side | null;
  leafId?: string | null;
  stateId?: string | null;
}

export function readingAt<P extends string>(
  sheet: { readings: readonly SheetReading<P>[] },
  at: Lookup<NoInfer<P>>,
): SheetReading<P> | undefined {
  return sheet.readings.find(
    (r) =>
      r.point === at.point &&
      r.phase === (at.phase ?? 'before') &&
      r.side === (at.side ?? null) &&
      r.leafId === (at.leafId ?? null) &&
      r.stateId === (at.stateId ?? null),
  );
}

/** How much less a size read on a vehicle made alike says of this one: vehicles of one make differ by a few times what a tape does. Assumed. */
const SISTER = 3;

/** A reading as an estimate. @param half90 of a reading on this very vehicle, core units, 90 % */
export const asRead = (reading: Pick<SheetReading, 'value' | 'instrument'>, half90: number): Estimate =>
  reading.instrument === 'sister'
    ? { value: reading.value, half90: SISTER * half90, origin: 'assumed' }
    : { value: reading.value, half90, origin: 'measured' };

/** Mass that a load state adds to this axle beyond the state of the day, kg. */
export function extraAxleMass(sheet: Pick<AxleSheet, 'axle' | 'wheelbase'>, state: SheetState): number {
  if (state.addedMass === 0) return 0;
  return axleShares({ mass: state.addedMass, station: state.station }, sheet.wheelbase)[sheet.axle.position];
}

/**
 * Mass on the whole axle in a load state, kg: both pads, else the ticket or estimate, read in that state or in the state of
 * the day with the load's own share added. null when nobody weighed.
 */
export function axleMassIn(
  sheet: Pick<AxleSheet, 'axle' | 'wheelbase' | 'readings' | 'states'>,
  state: SheetState,
): number | null {
  const weighed = (stateId: string): number | null => {
    const pad = (side: Side) => readingAt(sheet, { point: 'padLoad', side, stateId })?.value;
    const [left, right] = [pad('left'), pad('right')];
    if (left !== undefined && right !== undefined) return left + right;
    return readingAt(sheet, { point: 'axleLoad', stateId })?.value ?? null;
  };
  const here = weighed(state.id);
  if (here !== null) return here;
  const base = sheet.states[0] && weighed(sheet.states[0].id);
  return base === null || base === undefined ? null : base + extraAxleMass(sheet, state);
}
