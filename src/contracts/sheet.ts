import { type PointId } from '@/core/measure/points';
import { type AxleSheet, type SheetReading } from '@/core/sheet/reading';
import { assembleCoil, type CoilAxleSheet, type PlannedCoilChange } from '@/core/suspension/coil/assemble';
import { COIL_KINDS, type CoilKind } from '@/core/suspension/coil/input';
import { COIL_SHEET } from '@/core/suspension/coil/points';
import { assembleTandem, type PlannedTandemChange, type TandemAxleSheet } from '@/core/suspension/tandem/assemble';
import { type TandemKind } from '@/core/suspension/tandem/input';
import { TANDEM_SHEET } from '@/core/suspension/tandem/points';
import { assembleShear, type PlannedShearChange, type ShearAxleSheet } from '@/core/suspension/rubberShear/assemble';
import { SHEAR_SHEET } from '@/core/suspension/rubberShear/points';
import { assembleCross, type CrossAxleSheet, type PlannedCrossChange } from '@/core/suspension/transverseLeaf/assemble';
import { CROSS_SHEET } from '@/core/suspension/transverseLeaf/points';
import { type Assembly } from '@/core/suspension/kind';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { LEAF_SHEET } from '@/core/suspension/longitudinalLeaf/points';
import { type PlannedChange, type Sheet } from '@/core/suspension/longitudinalLeaf/sheet';
import { type AxleInput, type KindId } from '@/core/suspension/registry';
import { SIDES } from '@/core/vehicle/side';
import { type AxleView } from './job';
import { expectsOf } from './expectsOf';
import { type ReadingRow } from './reading';
import { readingKey } from './readingKey';
import { type ChangeRow } from './plan';
import { changesOfKind, type ChangeOf } from './planKinds';

/** A line of a leaf spring's plan as the core reads it. */
export const planned = (change: ChangeOf<'longitudinalLeaf'>): PlannedChange => {
  switch (change.kind) {
    case 'addLeaf': {
      const { kind, front, rear, thickness, camber, source, camberKnown } = change;
      return { kind, front, rear, thickness, camber, source, ...(camberKnown === false && { camberKnown }) };
    }
    case 'removeLeaf':
      return { kind: change.kind, leaf: change.leaf };
    case 'pack': {
      const { kind, leaves, width, form, bore, used, source, byFreeArch } = change;
      return { kind, leaves, width, eyeForm: form, eyeBore: bore, used, source, ...(byFreeArch && { byFreeArch }) };
    }
    case 'rearch':
      return { kind: change.kind, camber: change.camber };
    case 'eyes':
      return { kind: change.kind, form: change.form };
    case 'shackle':
      return { kind: change.kind, length: change.length, source: change.partId ? 'catalogue' : 'measured' };
    case 'helper': {
      const { kind, device, fitted, gap, stroke, open, quarter, half, threeQuarters, whole, source } = change;
      const carries = [open, quarter, half, threeQuarters, whole];
      return { kind, device, ...(fitted && { fitted }), gap, stroke, carries, source };
    }
    case 'wedge': {
      const { angle, height, thick } = change;
      return { kind: 'wedge', angle, height, thick };
    }
    case 'block':
      return { kind: change.kind, height: change.height, source: change.partId ? 'catalogue' : 'measured' };
    default:
      return { kind: change.kind, height: change.height };
  }
};

type Around = AxleView & { others?: readonly AxleView[] };

/**
 * Readings of a job at one axle; where it works on the other one as well, what was read there of its lips and load need not be read
 * here once more.
 */
export function readingsAround(view: Around): ReadingRow[] {
  const other = view.others?.find((o) => o.axle.position !== view.axle.position);
  if (!other) return view.readings;
  const there = new Set(view.readings.map(readingKey));
  const lent = other.readings.flatMap((r): ReadingRow[] => {
    if (r.point === 'groundToLip') return [{ ...r, point: 'otherAxleLip' }];
    if (r.point === 'axleLoad') return [{ ...r, point: 'otherAxleLoad' }];
    const pad = r.point === 'padLoad' && r.side === 'left';
    const right = pad && other.readings.find((p) => readingKey(p) === readingKey({ ...r, side: 'right' }));
    return right ? [{ ...r, point: 'otherAxleLoad', side: null, value: r.value + right.value }] : [];
  });
  return [...view.readings, ...lent.filter((r) => !there.has(readingKey(r)))];
}

/** What is known of a job's axle and its vehicle, whatever carries it. */
export const axleSheetOf = (view: Around): AxleSheet<PointId> => ({
  axle: view.axle,
  wheelbase: view.vehicle.wheelbase,
  readings: readingsAround(view).map((r) => ({ ...r, fuel: view.days.find((d) => d.id === r.dayId)?.fuel ?? null })),
  states: view.states,
});

const ofPoints = <P extends PointId>(readings: AxleSheet<PointId>['readings'], points: Record<P, unknown>) =>
  readings.filter((r): r is SheetReading<P> => r.point in points);

/** The measuring sheet of an axle on leaf springs; `changes` overrides the stored plan for a preview. */
export function sheetOf(view: Around, changes: readonly ChangeRow[] = view.plan.changes): Sheet {
  const common = axleSheetOf(view);
  const { position, axleClass, arrangement } = view.axle;
  return {
    ...common,
    readings: ofPoints(common.readings, LEAF_SHEET),
    // Every leaf axle of a job says it; the border takes none without.
    axle: { position, axleClass, arrangement: arrangement ?? 'over' },
    pack: view.pack,
    leafIds: view.leaves.map((leaf) => leaf.id),
    ...(view.own && {
      own: { side: view.own.pack.side!, pack: view.own.pack, leafIds: view.own.leaves.map((leaf) => leaf.id) },
    }),
    changes: changesOfKind('longitudinalLeaf', changes).map(planned),
    ...brokenLeaves(view),
    press: view.pressRuns,
  };
}

/** A line of a coil's plan as the core reads it. */
const plannedCoil = (change: ChangeOf<CoilKind>): PlannedCoilChange => {
  switch (change.kind) {
    case 'spacer':
      return { kind: 'spacer', height: change.height };
    case 'pivotBush':
      return { kind: 'pivotBush', bush: change.bush };
    default:
      return change;
  }
};

/** The same of an axle on coils, whatever they carry. */
export function coilSheetOf<K extends CoilKind>(
  kind: K,
  view: Around,
  changes: readonly ChangeRow[] = view.plan.changes,
): CoilAxleSheet<K> {
  const common = axleSheetOf(view);
  const { position, axleClass } = view.axle;
  return {
    ...common,
    kind,
    readings: ofPoints(common.readings, COIL_SHEET),
    axle: { position, axleClass },
    ends: view.seen.coilEnds,
    changes: changesOfKind(kind as CoilKind, changes).map(plannedCoil),
  };
}

/** The kind of a job's axle on coils; a beam axle for any other. */
export const coilKindOf = ({ axle }: AxleView): CoilKind =>
  COIL_KINDS.find((kind) => kind === axle.suspension) ?? 'coilBeam';

/** The same of two axles that stand as one. */
export function tandemSheetOf<K extends TandemKind>(
  kind: K,
  view: Around,
  changes: readonly ChangeRow[] = view.plan.changes,
): TandemAxleSheet<K> {
  const common = axleSheetOf(view);
  const { position, axleClass, arrangement } = view.axle;
  return {
    ...common,
    kind,
    readings: ofPoints(common.readings, TANDEM_SHEET),
    axle: { position, axleClass, arrangement: arrangement ?? 'over' },
    changes: changesOfKind(kind as TandemKind, changes).map((change): PlannedTandemChange => change),
  };
}

/** The same of an axle on one spring across. */
export function crossSheetOf(view: Around, changes: readonly ChangeRow[] = view.plan.changes): CrossAxleSheet {
  const common = axleSheetOf(view);
  const { position, axleClass } = view.axle;
  return {
    ...common,
    readings: ofPoints(common.readings, CROSS_SHEET),
    axle: { position, axleClass },
    changes: changesOfKind('transverseLeaf', changes).map((change): PlannedCrossChange => change),
  };
}

/** The same of an axle on rubber shear springs. */
export function shearSheetOf(view: Around, changes: readonly ChangeRow[] = view.plan.changes): ShearAxleSheet {
  const common = axleSheetOf(view);
  const { position, axleClass } = view.axle;
  return {
    ...common,
    readings: ofPoints(common.readings, SHEAR_SHEET),
    axle: { position, axleClass },
    changes: changesOfKind('rubberShear', changes).map((change): PlannedShearChange => change),
  };
}

/** Readings put together, of any kind of axle. */
export type Assembled = Assembly<AxleInput, PointId>;

const ASSEMBLE: Record<KindId, (view: Around, changes?: readonly ChangeRow[]) => Assembled> = {
  longitudinalLeaf: (view, changes) => assemble(sheetOf(view, changes)),
  coilBeam: (view, changes) => assembleCoil(coilSheetOf('coilBeam', view, changes)),
  twinBeam: (view, changes) => assembleCoil(coilSheetOf('twinBeam', view, changes)),
  torsionBeam: (view, changes) => assembleCoil(coilSheetOf('torsionBeam', view, changes)),
  coilOver: (view, changes) => assembleCoil(coilSheetOf('coilOver', view, changes)),
  tandemEqualizer: (view, changes) => assembleTandem(tandemSheetOf('tandemEqualizer', view, changes)),
  tandemSlipper: (view, changes) => assembleTandem(tandemSheetOf('tandemSlipper', view, changes)),
  transverseLeaf: (view, changes) => assembleCross(crossSheetOf(view, changes)),
  rubberShear: (view, changes) => assembleShear(shearSheetOf(view, changes)),
};
export function assembledOf(view: Around, changes?: readonly ChangeRow[]): Assembled {
  const made = ASSEMBLE[view.axle.suspension](view, changes);
  const expects = expectsOf(view.expects);
  return Object.keys(expects).length === 0 ? made : { ...made, input: { ...made.input, expects } };
}

/** Leaves that the inspection found broken: at a stated place, the main leaf wherever, and those of which nobody said where. */
function brokenLeaves(view: AxleView): Pick<Sheet, 'broken' | 'brokenMain' | 'brokenUnplaced'> {
  const found = view.findings.filter((f) => f.rule === 'leafBroken' && f.verdict === 'stop');
  const mains = [view.leaves[0]?.id, view.own?.leaves[0]?.id];
  const isMain = (f: (typeof found)[number]) => f.choice === 'main' || (f.leafId !== null && mains.includes(f.leafId));
  const placed = found.flatMap((f) => {
    const { side, leafId, place } = f;
    if (isMain(f) || !side || !leafId || place === null) return [];
    return [{ side, leafId, end: place < 0 ? ('front' as const) : ('rear' as const), at: Math.abs(place) }];
  });
  const sides = (of: typeof found) => of.flatMap((f) => f.side ?? SIDES);
  const brokenMain = sides(found.filter(isMain));
  const unplaced = sides(found.filter((f) => !isMain(f) && (!f.leafId || f.place === null)));
  return {
    broken: placed,
    brokenMain,
    brokenUnplaced: unplaced.filter((side) => !placed.some((b) => b.side === side)),
  };
}
