import { type Estimate } from '../../estimate/estimate';
import { GRAVITY } from '../../material/steel';
import { shearModulus, shearRate } from '../../mechanics/rubber/shear';
import { type AxleClass } from '../../sheet/axleClass';
import { axleLoadHalf, lipOverBaseOf, loadsOf, trackOverBaseOf, unsprungOf } from '../../sheet/loads';
import { type Point } from '../../sheet/point';
import { secondLoadOf } from '../../sheet/secondLoad';
import { asRead, extraAxleMass, readingAt, type AxleSheet, type Lookup, type SheetState } from '../../sheet/reading';
import { SIDES, type Side } from '../../vehicle/side';
import { type Assembly } from '../kind';
import { ASSUMED_SHEAR } from './assumed';
import { type CarrierLeaf, type ShearAxleInput, type ShearBlock, type ShearChange, type ShearSide } from './input';
import { SHEAR_SHEET, type ShearPoint } from './points';

/** A planned change as it was entered; mm and N/mm. */
export type PlannedShearChange =
  | {
      kind: 'shearBlock';
      rate: number;
      thick: number;
      offset: number;
      used: boolean;
      source: 'measured' | 'catalogue';
    }
  | { kind: 'blockHoles'; by: number };

/** Everything of one job's axle on rubber shear springs that a prediction needs. */
export interface ShearAxleSheet extends AxleSheet<ShearPoint> {
  axle: { position: 'front' | 'rear'; axleClass: AxleClass };
  changes: readonly PlannedShearChange[];
}

type Read = (at: Lookup<ShearPoint>) => Estimate | undefined;
const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
const assumed = (given: { value: number; half90: number }): Estimate => ({
  value: given.value,
  half90: given.half90,
  origin: 'assumed',
});

/** Turns a measuring sheet into the input of a prediction. Every gap is either listed as missing or filled by a default marked assumed. */
export function assembleShear(sheet: ShearAxleSheet): Assembly<ShearAxleInput, ShearPoint> {
  const missing: Assembly<ShearAxleInput, ShearPoint>['missing'] = [];
  const base = sheet.states[0]?.id ?? null;
  const read: Read = (at) => {
    const point: Point = SHEAR_SHEET[at.point];
    const found = readingAt(sheet, { ...at, stateId: point.loaded ? (at.stateId ?? base) : null });
    return found && asRead(found, at.point === 'axleLoad' ? axleLoadHalf(found.value, found.instrument) : point.half90);
  };
  const need = (point: ShearPoint): Estimate | undefined => {
    const found = read({ point });
    if (!found) missing.push({ point, side: null, leafId: null });
    return found;
  };
  const maker = read({ point: 'shearRate' });
  const [long, wide] = maker ? [undefined, undefined] : [need('shearLong'), need('shearWide')];
  const thick = need('shearThick');
  const block = thick ? blockOf(thick, maker, long, wide, read({ point: 'shearHard' })) : null;
  const [fixed, nose] = [need('carrierFixed'), need('carrierNose')];
  const [leaves, width, thickness] = [need('carrierLeaves'), need('carrierWidth'), need('carrierThickness')];
  const leaf: CarrierLeaf | null =
    leaves && width && thickness
      ? {
          leaves: leaves.value,
          full: Math.min(leaves.value, read({ point: 'carrierFull' })?.value ?? leaves.value),
          ...{ width, thickness, rateFactor: assumed({ value: 1, half90: ASSUMED_SHEAR.leafShare }) },
        }
      : null;
  const loads = loadsOf(sheet.axle.axleClass, read);
  if (!loads) missing.push({ point: 'axleLoad', side: null, leafId: null });
  if (!SIDES.some((side) => read({ point: 'shearOffset', side })))
    missing.push({ point: 'shearOffset', side: 'left', leafId: null });
  const sideOf = (side: Side): ShearSide | null => {
    const offset = read({ point: 'shearOffset', side });
    if (!loads || !offset || !block || !leaf || !fixed || !nose) return null;
    return { load: loads[side], offset, second: secondLoadOf(sheet, read, side, (state) => addedOf(sheet, state)) };
  };
  const heights = SIDES.flatMap((side) => readingAt(sheet, { point: 'hubToLip', side, stateId: base }) ?? []);
  const sides = { left: sideOf('left'), right: sideOf('right') };
  return {
    missing,
    refused: [],
    input: {
      schemaVersion: 2,
      kind: 'rubberShear',
      rolled: heights.length > 0 && heights.every((h) => h.rolled === true),
      ...{ block, leaf, arms: fixed && nose ? { fixed, nose } : null },
      hysteresis: assumed(ASSUMED_SHEAR.hysteresis),
      sides: {
        left: { height: read({ point: 'hubToLip', side: 'left' }) ?? null, spring: sides.left },
        right: { height: read({ point: 'hubToLip', side: 'right' }) ?? null, spring: sides.right },
      },
      tyreRate: read({ point: 'tyreRate' }) ?? assumed(ASSUMED_SHEAR.tyreRate),
      lipOverBase: lipOverBaseOf(trackOverBaseOf(read)),
      changes: sheet.changes.map(planned),
      hanging: (unsprungOf(sheet.axle.axleClass, read).value / 2) * GRAVITY,
      states: sheet.states.map((state) => ({ id: state.id, name: state.name, extraMass: addedOf(sheet, state) })),
      afterReading: SHEAR_SHEET.hubToLip.half90,
    },
  };
}

/** By its maker's rate, else by sizes and hardness. null while neither is whole. */
function blockOf(
  thick: Estimate,
  maker: Estimate | undefined,
  long: Estimate | undefined,
  wide: Estimate | undefined,
  hard: Estimate | undefined,
): ShearBlock | null {
  if (maker) return { thick, rate: { ...maker, half90: ASSUMED_SHEAR.makerShare * maker.value } };
  if (!long || !wide) return null;
  const { value: hardness, half90 } = hard ?? ASSUMED_SHEAR.hardness;
  const modulus = (off: number) => shearModulus(Math.min(75, Math.max(30, hardness + off)));
  const rate = shearRate({ long: long.value, wide: wide.value, thick: thick.value }, modulus(0));
  const ofRubber = (modulus(half90) - modulus(-half90)) / 2 / modulus(0);
  const share = Math.hypot(ofRubber, ...[long, wide, thick].map((e) => e.half90 / e.value));
  return { thick, rate: { value: rate, half90: share * rate, origin: hard ? 'computed' : 'assumed' } };
}

function addedOf(sheet: ShearAxleSheet, state: SheetState): Estimate {
  const mass = extraAxleMass(sheet, state);
  return measured(mass, ASSUMED_SHEAR.payloadShare * Math.abs(mass));
}

/** A planned change with its doubt. */
export function planned(change: PlannedShearChange): ShearChange {
  if (change.kind === 'blockHoles') return { kind: 'blockHoles', by: measured(change.by, 1) };
  const { rate, thick, offset, used, source } = change;
  const share = source === 'measured' ? ASSUMED_SHEAR.makerShare : ASSUMED_SHEAR.catalogueShare;
  return {
    kind: 'shearBlock',
    used,
    block: {
      rate: { value: rate, half90: share * rate, origin: source },
      thick: { value: thick, half90: SHEAR_SHEET.shearThick.half90, origin: source },
    },
    offset: {
      value: offset,
      half90: source === 'measured' ? SHEAR_SHEET.shearOffset.half90 : ASSUMED_SHEAR.offsetCatalogue,
      origin: source,
    },
  };
}
