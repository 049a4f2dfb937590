import { type Estimate } from '../../estimate/estimate';
import { GRAVITY } from '../../material/steel';
import { AXLE_CLASSES, type AxleClass } from '../../sheet/axleClass';
import { axleLoadHalf, loadsOf, type LoadAt } from '../../sheet/loads';
import { type Point } from '../../sheet/point';
import { asRead, extraAxleMass, readingAt, type AxleSheet, type Lookup, type SheetState } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { type Assembly } from '../kind';
import { ASSUMED_PAIR } from './assumed';
import {
  type PairSide,
  type PairSpring,
  type RockerInput,
  type TandemAxleInput,
  type TandemChange,
  type TandemKind,
} from './input';
import { TANDEM_SHEET, type TandemPoint } from './points';

/** A planned change as it was entered; mm. */
export type PlannedTandemChange =
  | {
      kind: 'springs';
      leaves: number;
      full: number;
      width: number;
      thickness: number;
      outer: number;
      inner: number;
      free: number;
      used: boolean;
      source: 'measured' | 'catalogue';
    }
  | { kind: 'shackle'; length: number }
  | { kind: 'rocker'; front: number; rear: number; below: number }
  | { kind: 'slipper'; drop: number }
  | { kind: 'riser'; height: number }
  | { kind: 'overAxle'; height: number }
  | { kind: 'hitch'; by: number };

/** Everything of one job's pair of axles that a prediction needs. */
export interface TandemAxleSheet<K extends TandemKind = TandemKind> extends AxleSheet<TandemPoint> {
  kind: K;
  axle: { position: 'front' | 'rear'; axleClass: AxleClass; arrangement: 'over' | 'under' };
  changes: readonly PlannedTandemChange[];
}

type Read = (at: Lookup<TandemPoint>) => Estimate | undefined;
const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
const assumed = (given: { value: number; half90: number }): Estimate => ({ ...given, origin: 'assumed' });

/** Turns a measuring sheet into the input of a prediction. Every gap is either listed as missing or filled by a default marked assumed. */
export function assembleTandem<K extends TandemKind>(
  sheet: TandemAxleSheet<K>,
): Assembly<TandemAxleInput<K>, TandemPoint> {
  const missing: Assembly<TandemAxleInput<K>, TandemPoint>['missing'] = [];
  const base = sheet.states[0]?.id ?? null;
  const read: Read = (at) => {
    const point: Point = TANDEM_SHEET[at.point];
    const found = readingAt(sheet, { ...at, stateId: point.loaded ? (at.stateId ?? base) : null });
    const weighed = ['axleLoad', 'frontAxleLoad', 'rearAxleLoad'].includes(at.point);
    return found && asRead(found, weighed ? axleLoadHalf(found.value, found.instrument) : point.half90);
  };
  const need = (point: TandemPoint): Estimate | undefined => {
    const found = read({ point });
    if (!found) missing.push({ point, side: null, leafId: null });
    return found;
  };
  const or = (point: TandemPoint, given: { value: number; half90: number }): Estimate =>
    read({ point }) ?? assumed(given);
  const spring = springOf(need, read);
  const rocker = sheet.kind === 'tandemEqualizer' ? rockerOf(need, or, read) : null;
  const unsprung = unsprungOf(sheet.axle.axleClass, read);
  const loads = loadsOf(sheet.axle.axleClass, (at: LoadAt) => (at.point === 'unsprungMass' ? unsprung : read(at)));
  if (!loads) missing.push({ point: 'axleLoad', side: null, leafId: null });
  const sideOf = (side: Side): PairSide | null => {
    const [front, rear] = [read({ point: 'pairArchFront', side }), read({ point: 'pairArchRear', side })];
    const one = front ?? rear;
    if (!loads || !one) return null;
    return { load: loads[side], arch: { front: front ?? one, rear: rear ?? one }, second: secondOf(sheet, read, side) };
  };
  const sides = { left: sideOf('left'), right: sideOf('right') };
  if (loads && !sides.left && !sides.right) missing.push({ point: 'pairArchFront', side: 'left', leafId: null });
  const heights = SIDES.flatMap((side) => readingAt(sheet, { point: 'hubToLip', side, stateId: base }) ?? []);
  const seat = read({ point: 'pairSeat' });
  return {
    missing,
    refused: [],
    input: {
      schemaVersion: 2,
      kind: sheet.kind,
      rolled: heights.length > 0 && heights.every((h) => h.rolled === true),
      arrangement: sheet.axle.arrangement,
      spring,
      inactive: seat
        ? measured((seat.value * ASSUMED_PAIR.seatShare.value) / 2, (seat.value * ASSUMED_PAIR.seatShare.half90) / 2)
        : assumed(ASSUMED_PAIR.inactive),
      friction: assumed(ASSUMED_PAIR.friction),
      spacing: or('axleSpacing', ASSUMED_PAIR.spacing),
      rocker,
      drop: { outer: or('outerDrop', ASSUMED_PAIR.outerDrop), inner: or('innerDrop', ASSUMED_PAIR.innerDrop) },
      pitch: or('framePitch', ASSUMED_PAIR.pitch),
      share: shareOf(read, unsprung.value),
      hitchReach: Math.max(500, sheet.wheelbase),
      unsprung,
      tube: or('pairTube', ASSUMED_PAIR.tube),
      perch: or('pairPerch', ASSUMED_PAIR.perch),
      wheelLimit: read({ point: 'wheelLimit' })?.value ?? null,
      sides: {
        left: { height: read({ point: 'hubToLip', side: 'left' }) ?? null, spring: sides.left },
        right: { height: read({ point: 'hubToLip', side: 'right' }) ?? null, spring: sides.right },
      },
      tyreRate: or('tyreRate', ASSUMED_PAIR.tyreRate),
      changes: sheet.changes.map(planned),
      hanging: (unsprung.value / 2) * GRAVITY,
      states: sheet.states.map((state) => ({ id: state.id, name: state.name, extraMass: addedOf(sheet, state) })),
      afterReading: TANDEM_SHEET.hubToLip.half90,
    },
  };
}

function addedOf(sheet: TandemAxleSheet, state: SheetState): Estimate {
  const mass = extraAxleMass(sheet, state);
  return measured(mass, ASSUMED_PAIR.payloadShare * Math.abs(mass));
}

/** Both axles' wheels and brakes: as read, else twice what one of the class weighs. */
function unsprungOf(axleClass: AxleClass, read: Read): Estimate {
  const value = 2 * AXLE_CLASSES[axleClass].unsprung;
  return read({ point: 'unsprungMass' }) ?? assumed({ value, half90: value * ASSUMED_PAIR.unsprungShare });
}

function springOf(need: (point: TandemPoint) => Estimate | undefined, read: Read): PairSpring | null {
  const [leaves, width, thickness] = [need('pairLeaves'), need('pairWidth'), need('pairThickness')];
  const [outer, inner] = [need('pairOuter'), need('pairInner')];
  if (!leaves || !width || !thickness || !outer || !inner) return null;
  const full = Math.min(leaves.value, read({ point: 'pairFull' })?.value ?? 1);
  const rateFactor = assumed({ value: 1, half90: ASSUMED_PAIR.handbook });
  return { leaves: leaves.value, full, width, thickness, outer, inner, rateFactor };
}

function rockerOf(
  need: (point: TandemPoint) => Estimate | undefined,
  or: (point: TandemPoint, given: { value: number; half90: number }) => Estimate,
  read: Read,
): RockerInput | null {
  const [front, rear] = [need('rockerFront'), need('rockerRear')];
  if (!front || !rear) return null;
  return {
    front,
    rear,
    below: or('rockerBelow', ASSUMED_PAIR.below),
    lean: { front: or('leanFront', ASSUMED_PAIR.lean), rear: or('leanRear', ASSUMED_PAIR.lean) },
    shackle: or('pairShackle', ASSUMED_PAIR.shackle),
    tilt: or('rockerTilt', ASSUMED_PAIR.tilt),
    stop: read({ point: 'rockerStop' }) ?? null,
  };
}

/** What the front axle's springs carry of both, 0–1: each weighed alone, else in halves. */
function shareOf(read: Read, unsprung: number): Estimate {
  const [front, rear] = [read({ point: 'frontAxleLoad' }), read({ point: 'rearAxleLoad' })];
  if (!front || !rear) return assumed(ASSUMED_PAIR.share);
  const sprung = [front.value - unsprung / 2, rear.value - unsprung / 2];
  const all = sprung[0]! + sprung[1]!;
  if (!(all > 0)) return assumed(ASSUMED_PAIR.share);
  const value = Math.min(0.95, Math.max(0.05, sprung[0]! / all));
  return measured(value, value * (1 - value) * Math.hypot(front.half90 / front.value, rear.half90 / rear.value));
}

/** The frame read again in the first other load state that has a height of this side. */
function secondOf(sheet: TandemAxleSheet, read: Read, side: Side): PairSide['second'] {
  const before = read({ point: 'hubToLip', side });
  if (!before) return null;
  for (const state of sheet.states.slice(1)) {
    const then = read({ point: 'hubToLip', side, stateId: state.id });
    const added = addedOf(sheet, state);
    if (!then || Math.abs(added.value) < 20) continue;
    const newtons = GRAVITY / 2;
    return {
      extra: { ...added, value: added.value * newtons, half90: added.half90 * newtons },
      lower: measured(before.value - then.value, Math.hypot(before.half90, then.half90)),
    };
  }
  return null;
}

/** A planned change with its doubt. */
export function planned(change: PlannedTandemChange): TandemChange {
  const of = (point: TandemPoint, value: number): Estimate => measured(value, TANDEM_SHEET[point].half90);
  switch (change.kind) {
    case 'springs': {
      const { leaves, full, width, thickness, outer, inner, free, used, source } = change;
      const size = (point: TandemPoint, value: number, catalogue: number): Estimate => ({
        value,
        half90: source === 'measured' ? TANDEM_SHEET[point].half90 : catalogue,
        origin: source,
      });
      return {
        kind: 'springs',
        used,
        free: size('pairArchFront', free, ASSUMED_PAIR.camberCatalogue),
        spring: {
          leaves,
          full: Math.min(full, leaves),
          width: size('pairWidth', width, 0.5),
          thickness: size('pairThickness', thickness, ASSUMED_PAIR.sizeCatalogue),
          outer: size('pairOuter', outer, 3),
          inner: size('pairInner', inner, 3),
          rateFactor: assumed({ value: 1, half90: ASSUMED_PAIR.handbook }),
        },
      };
    }
    case 'shackle':
      return { kind: 'shackle', length: of('pairShackle', change.length) };
    case 'rocker':
      return {
        kind: 'rocker',
        front: of('rockerFront', change.front),
        rear: of('rockerRear', change.rear),
        below: of('rockerBelow', change.below),
      };
    case 'slipper':
      return { kind: 'slipper', drop: of('innerDrop', change.drop) };
    case 'riser':
      return { kind: 'riser', height: measured(change.height, 1) };
    case 'overAxle':
      return { kind: 'overAxle', height: of('pairPerch', change.height) };
    case 'hitch':
      return { kind: 'hitch', by: measured(change.by, 3) };
  }
}
