import { type Estimate } from '../../estimate/estimate';
import { GRAVITY } from '../../material/steel';
import { type AxleClass } from '../../sheet/axleClass';
import { axleLoadHalf, lipOverBaseOf, loadsOf, trackOverBaseOf, unsprungOf } from '../../sheet/loads';
import { type Point } from '../../sheet/point';
import { secondLoadOf } from '../../sheet/secondLoad';
import { asRead, extraAxleMass, readingAt, type AxleSheet, type Lookup, type SheetState } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { type Assembly } from '../kind';
import { ASSUMED_CROSS } from './assumed';
import { type CrossAxleInput, type CrossChange, type CrossSide, type CrossSpring } from './input';
import { CROSS_SHEET, type CrossPoint } from './points';

/** A planned change as it was entered; mm. */
export type PlannedCrossChange =
  | {
      kind: 'crossSpring';
      leaves: number;
      full: number;
      width: number;
      thickness: number;
      half: number;
      shortest: number;
      free: number;
      used: boolean;
      source: 'measured' | 'catalogue';
    }
  | { kind: 'spindles'; left: number; right: number }
  | { kind: 'dropAxle'; by: number };

/** Everything of one job's axle on a spring across that a prediction needs. */
export interface CrossAxleSheet extends AxleSheet<CrossPoint> {
  axle: { position: 'front' | 'rear'; axleClass: AxleClass };
  changes: readonly PlannedCrossChange[];
}

type Read = (at: Lookup<CrossPoint>) => Estimate | undefined;
const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
const assumed = (given: { value: number; half90: number }): Estimate => ({
  value: given.value,
  half90: given.half90,
  origin: 'assumed',
});
const RATE = { value: 1, half90: ASSUMED_CROSS.rateShare };

/** Turns a measuring sheet into the input of a prediction. Every gap is either listed as missing or filled by a default marked assumed. */
export function assembleCross(sheet: CrossAxleSheet): Assembly<CrossAxleInput, CrossPoint> {
  const missing: Assembly<CrossAxleInput, CrossPoint>['missing'] = [];
  const base = sheet.states[0]?.id ?? null;
  const read: Read = (at) => {
    const point: Point = CROSS_SHEET[at.point];
    const found = readingAt(sheet, { ...at, stateId: point.loaded ? (at.stateId ?? base) : null });
    return found && asRead(found, at.point === 'axleLoad' ? axleLoadHalf(found.value, found.instrument) : point.half90);
  };
  const need = (point: CrossPoint, side: Side | null = null): Estimate | undefined => {
    const found = side === null ? read({ point }) : (read({ point, side }) ?? read({ point, side: other(side) }));
    if (!found) missing.push({ point, side, leafId: null });
    return found;
  };
  const [leaves, width, thickness] = [need('crossLeaves'), need('crossWidth'), need('crossThickness')];
  const half = need('crossHalf', 'left');
  const spring =
    leaves && width && thickness && half ? springOf(read, { leaves: leaves.value, width, thickness, half }) : null;
  const broken = read({ point: 'crossBroken' })?.value ?? 0;
  const mainBroken = broken === 1 && leaves !== undefined;
  const loads = loadsOf(sheet.axle.axleClass, read);
  if (!loads) missing.push({ point: 'axleLoad', side: null, leafId: null });
  const sideOf = (side: Side): CrossSide | null => {
    const [drop, own] = [read({ point: 'crossDrop', side }), read({ point: 'crossHalf', side }) ?? half];
    // A main leaf that is through holds no wheel: there is nothing to solve.
    if (!loads || !drop || !own || mainBroken) return null;
    return {
      load: loads[side],
      half: own,
      drop,
      second: secondLoadOf(sheet, read, side, (state) => addedOf(sheet, state)),
    };
  };
  const sides = { left: sideOf('left'), right: sideOf('right') };
  if (loads && !mainBroken && !SIDES.some((side) => read({ point: 'crossDrop', side })))
    missing.push({ point: 'crossDrop', side: 'left', leafId: null });
  const heights = SIDES.flatMap((side) => readingAt(sheet, { point: 'hubToLip', side, stateId: base }) ?? []);
  return {
    missing,
    refused: mainBroken
      ? SIDES.map((side) => ({ side, reason: 'the main leaf is broken: it holds no wheel, and nothing can be solved' }))
      : [],
    input: {
      schemaVersion: 2,
      kind: 'transverseLeaf',
      rolled: heights.length > 0 && heights.every((h) => h.rolled === true),
      spring,
      broken: broken >= 2 ? broken : null,
      clamp: read({ point: 'crossClamp' }) ?? assumed(ASSUMED_CROSS.clamp),
      inactive: assumed(ASSUMED_CROSS.inactive),
      friction: assumed(ASSUMED_CROSS.friction),
      upright: uprightOf(read),
      sides: {
        left: { height: read({ point: 'hubToLip', side: 'left' }) ?? null, spring: sides.left },
        right: { height: read({ point: 'hubToLip', side: 'right' }) ?? null, spring: sides.right },
      },
      tyreRate: read({ point: 'tyreRate' }) ?? assumed(ASSUMED_CROSS.tyreRate),
      lipOverBase: lipOverBaseOf(trackOverBaseOf(read)),
      changes: sheet.changes.map((change) => planned(change)),
      hanging: (unsprungOf(sheet.axle.axleClass, read).value / 2) * GRAVITY,
      states: sheet.states.map((state) => ({ id: state.id, name: state.name, extraMass: addedOf(sheet, state) })),
      afterReading: CROSS_SHEET.hubToLip.half90,
    },
  };
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

function addedOf(sheet: CrossAxleSheet, state: SheetState): Estimate {
  const mass = extraAxleMass(sheet, state);
  return measured(mass, ASSUMED_CROSS.payloadShare * Math.abs(mass));
}

/** Even steps from the main leaf to one as long as a step is; what nobody read. */
const evenly = (half: number, leaves: number, full: number): number =>
  leaves <= full ? half : half / (leaves - full + 1);

function springOf(
  read: Read,
  { leaves, width, thickness, half }: { leaves: number; width: Estimate; thickness: Estimate; half: Estimate },
): CrossSpring {
  const full = Math.min(leaves, read({ point: 'crossFull' })?.value ?? 1);
  const shortest =
    read({ point: 'crossShort' }) ??
    assumed({
      value: evenly(half.value, leaves, full),
      half90: leaves <= full ? 0 : ASSUMED_CROSS.shortestShare * half.value,
    });
  return { leaves, full, width, thickness, shortest, rateFactor: assumed(RATE) };
}

/** A beam by its zero, arms where both lengths were read, else nobody looked. */
function uprightOf(read: Read): CrossAxleInput['upright'] {
  const [arm, kingpin] = [read({ point: 'upperArm' }), read({ point: 'kingpinLength' })];
  if (arm && arm.value < 20) return 'beam';
  if (!arm || !kingpin) return null;
  return { arm, kingpin, slope: read({ point: 'upperSlope' }) ?? assumed(ASSUMED_CROSS.slope) };
}

/** A planned change with its doubt. */
export function planned(change: PlannedCrossChange): CrossChange {
  const of = (value: number): Estimate => measured(value, 1);
  if (change.kind === 'spindles') return { kind: 'spindles', left: of(change.left), right: of(change.right) };
  if (change.kind === 'dropAxle') return { kind: 'dropAxle', by: of(change.by) };
  const { leaves, full, width, thickness, half, shortest, free, used, source } = change;
  const size = (point: CrossPoint, value: number, catalogue: number): Estimate => ({
    value,
    half90: source === 'measured' ? CROSS_SHEET[point].half90 : catalogue,
    origin: source,
  });
  return {
    kind: 'crossSpring',
    used,
    half: size('crossHalf', half, 3),
    free: size('crossDrop', free, ASSUMED_CROSS.camberCatalogue),
    spring: {
      leaves,
      full: Math.min(full, leaves),
      width: size('crossWidth', width, 0.5),
      thickness: size('crossThickness', thickness, ASSUMED_CROSS.sizeCatalogue),
      shortest: size('crossShort', Math.min(shortest, half), 8),
      rateFactor: assumed(RATE),
    },
  };
}
