import { type Estimate } from '../../estimate/estimate';
import { coilRatio, type CoilEnds } from '../../mechanics/coil/coil';
import { GRAVITY } from '../../material/steel';
import { ASSUMED_AXLE } from '../../sheet/assumed';
import { type AxleClass } from '../../sheet/axleClass';
import { axleLoadHalf, lipOverBaseOf, loadsOf, trackOverBaseOf, unsprungOf } from '../../sheet/loads';
import { type Point } from '../../sheet/point';
import { asRead, extraAxleMass, readingAt, type AxleSheet, type Lookup } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { type Assembly } from '../kind';
import { type CoilAxleInput, type CoilChange, type CoilKind, type CoilSide, type PivotBushKind } from './input';
import { COIL_SHEET, type CoilPoint } from './points';

/** A planned change as it was entered; mm. */
export type PlannedCoilChange =
  | {
      kind: 'coil';
      wire: number;
      outside: number;
      turns: number;
      ends: CoilEnds;
      free: number;
      used: boolean;
      source: 'measured' | 'catalogue';
    }
  | { kind: 'spacer'; height: number }
  /** Grooves up, each side by its own. */
  | { kind: 'perch'; pitch: number; left: number; right: number }
  | { kind: 'pivotBush'; bush: PivotBushKind };

/** Everything of one job's axle on coils that a prediction needs. */
export interface CoilAxleSheet<K extends CoilKind = CoilKind> extends AxleSheet<CoilPoint> {
  kind: K;
  axle: { position: 'front' | 'rear'; axleClass: AxleClass };
  /** null when nobody looked. */
  ends: CoilEnds | null;
  changes: readonly PlannedCoilChange[];
}

const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
const fixed = (value: number): Estimate => ({ value, half90: 0, origin: 'assumed' });

/** How well a maker's figures are kept, mm and turns, 90 %. Common practice. */
const CATALOGUE = { wire: 0.2, outside: 1.5, turns: 0.15, free: 6 } as const;

/** Turns a measuring sheet into the input of a prediction. Every gap is either listed as missing or filled by a default marked assumed. */
export function assembleCoil<K extends CoilKind>(sheet: CoilAxleSheet<K>): Assembly<CoilAxleInput<K>, CoilPoint> {
  const missing: Assembly<CoilAxleInput<K>, CoilPoint>['missing'] = [];
  const base = sheet.states[0]?.id ?? null;
  const read = (at: Lookup<CoilPoint>): Estimate | undefined => {
    const point: Point = COIL_SHEET[at.point];
    const found = readingAt(sheet, { ...at, stateId: point.loaded ? base : null });
    const half90 = found && at.point === 'axleLoad' ? axleLoadHalf(found.value, found.instrument) : point.half90;
    return found && asRead(found, half90);
  };
  const need = (point: CoilPoint): Estimate | undefined => {
    const found = read({ point });
    if (!found) missing.push({ point, side: null, leafId: null });
    return found;
  };
  const [wire, outside, turns] = [need('coilWire'), need('coilOutside'), need('coilTurns')];
  const free = freeOf(read);
  const coil =
    wire && outside && turns ? { wire, outside, turns, ends: sheet.ends ?? ('unknown' as const), free } : null;
  const loads = loadsOf(sheet.axle.axleClass, read);
  if (!loads) missing.push({ point: 'axleLoad', side: null, leafId: null });
  const spring = (side: Side): CoilSide | null => {
    const length = read({ point: 'coilLength', side }) ?? null;
    if (!loads || (!length && !free)) return null;
    return { load: loads[side], length };
  };
  const sides = { left: spring('left'), right: spring('right') };
  if (loads && !sides.left && !sides.right) missing.push({ point: 'coilLength', side: 'left', leafId: null });
  const tyre = read({ point: 'tyreRate' });
  const heights = SIDES.flatMap((side) => readingAt(sheet, { point: 'hubToLip', side, stateId: base }) ?? []);
  return {
    missing,
    refused: [],
    input: {
      schemaVersion: 2,
      kind: sheet.kind,
      rolled: heights.length > 0 && heights.every((h) => h.rolled === true),
      coil,
      spacer: read({ point: 'coilSpacer' }) ?? fixed(0),
      ratio: ratioOf(read),
      ...swingOf(sheet.kind, need, read),
      ...(sheet.kind === 'coilOver' && {
        open: {
          left: read({ point: 'coilOpen', side: 'left' }) ?? null,
          right: read({ point: 'coilOpen', side: 'right' }) ?? null,
        },
      }),
      sides: {
        left: { height: read({ point: 'hubToLip', side: 'left' }) ?? null, spring: sides.left },
        right: { height: read({ point: 'hubToLip', side: 'right' }) ?? null, spring: sides.right },
      },
      tyreRate: tyre ?? { ...ASSUMED_AXLE.tyreRate, origin: 'assumed' },
      lipOverBase: lipOverBaseOf(trackOverBaseOf(read)),
      changes: sheet.changes.map(planned),
      hanging: (unsprungOf(sheet.axle.axleClass, read).value / 2) * GRAVITY,
      states: sheet.states.map((state) => {
        const mass = extraAxleMass(sheet, state);
        return {
          id: state.id,
          name: state.name,
          extraMass: measured(mass, ASSUMED_AXLE.payloadShare * Math.abs(mass)),
        };
      }),
      afterReading: COIL_SHEET.hubToLip.half90,
    },
  };
}

type Read = (at: Lookup<CoilPoint>) => Estimate | undefined;

/** Pivot near the hub's height where nobody read it. Assumed. */
const RISE: Estimate = { value: 0, half90: 60, origin: 'assumed' };

/** What swings the hub, and the rubber it swings on. */
function swingOf(
  kind: CoilKind,
  need: (point: CoilPoint) => Estimate | undefined,
  read: Read,
): Pick<CoilAxleInput, 'swing' | 'pivotBush'> {
  if (kind !== 'twinBeam' && kind !== 'torsionBeam') return {};
  const arm = need('hubArm');
  need('coilArm');
  const [shell, sleeve, length] = (['pivotShell', 'pivotSleeve', 'pivotLength'] as const).map(
    (point) => read({ point })?.value,
  );
  return {
    ...(arm && {
      swing: { arm, rise: read({ point: 'pivotRise' }) ?? RISE, radius: read({ point: 'radiusArm' }) ?? null },
    }),
    ...(shell !== undefined &&
      sleeve !== undefined &&
      length !== undefined && { pivotBush: { shell, sleeve, length } }),
  };
}

/** Free length: both sides' mean where both were laid down. */
function freeOf(read: Read): Estimate | null {
  const found = SIDES.flatMap((side) => read({ point: 'coilFree', side }) ?? []);
  const [one, two] = found;
  if (!one) return null;
  return two ? measured((one.value + two.value) / 2, one.half90) : one;
}

/** Way of the coil over the way of the hub. */
function ratioOf(read: Read): Estimate {
  const [lean, arm, hub] = [read({ point: 'coilLean' }), read({ point: 'coilArm' }), read({ point: 'hubArm' })];
  const lever = arm && hub ? arm.value / hub.value : 1;
  const value = coilRatio(lean?.value ?? 0, lever);
  if (!lean && !(arm && hub)) return fixed(value);
  const leaning = lean ? Math.abs(coilRatio(lean.value + lean.half90, lever) - value) : 0;
  const levered = arm && hub ? value * Math.hypot(arm.half90 / arm.value, hub.half90 / hub.value) : 0;
  return measured(value, Math.hypot(leaning, levered));
}

/** A planned change with its doubt. */
export function planned(change: PlannedCoilChange): CoilChange {
  if (change.kind === 'pivotBush') return change;
  if (change.kind === 'perch') {
    const up = (grooves: number): Estimate =>
      measured(grooves * change.pitch, COIL_SHEET.perchPitch.half90 * Math.abs(grooves));
    return { kind: 'perch', left: up(change.left), right: up(change.right) };
  }
  if (change.kind === 'spacer')
    return { kind: 'spacer', height: measured(change.height, COIL_SHEET.coilSpacer.half90) };
  const { wire, outside, turns, ends, free, used, source } = change;
  const half = {
    wire: COIL_SHEET.coilWire.half90,
    outside: COIL_SHEET.coilOutside.half90,
    turns: COIL_SHEET.coilTurns.half90,
    free: COIL_SHEET.coilFree.half90,
  };
  const of = (what: keyof typeof half, value: number): Estimate => ({
    value,
    half90: source === 'measured' ? half[what] : CATALOGUE[what],
    origin: source,
  });
  return {
    kind: 'coil',
    used,
    coil: {
      wire: of('wire', wire),
      outside: of('outside', outside),
      turns: of('turns', turns),
      ends,
      free: of('free', free),
    },
  };
}
