import { readingKey } from '@/contracts/readingKey';
import { type JobView } from '@/contracts/job';
import { formOf } from '@/core/vehicle/form';
import { otherOf, SIDES, type Side } from '@/core/vehicle/side';
import { POINT_IDS, pointOf, type GroupId, type PointId } from '@/core/measure/points';
import { type PointGroup } from '@/core/sheet/point';
import { callsOf, groupsOf } from '@/core/suspension/registry';

/** One field of the measuring sheet. */
export interface FieldAt {
  point: PointId;
  side: Side | null;
  leafId: string | null;
  stateId: string | null;
}

/** Name of a field: of its input, of its dimension on the figure, of its reading. */
export const fieldKey = (at: FieldAt): string => readingKey({ ...at, phase: 'before' });

export const sameField = (p: FieldAt | null, q: FieldAt | null): boolean =>
  p !== null && q !== null && fieldKey(p) === fieldKey(q);

/** Points read again with another load aboard, of any kind of axle. */
const AGAIN: readonly PointId[] = [
  'hubToLip',
  'loadedArch',
  'coilLength',
  'pairArchFront',
  'pairArchRear',
  'padLoad',
  'axleLoad',
  'otherAxleLip',
];
const againOf = (view: JobView): PointId[] => {
  const groups = groupsOf(view.axle.suspension).map((g) => g.id);
  return AGAIN.filter((point) => groups.includes(pointOf(point).group));
};

/** What is read of a main leaf too; its tips are its eyes, and a clip is carried by a leaf below it. */
const OF_MAIN: readonly PointId[] = ['leafThickness', 'leafTip'];

/** Points of the other axle, as they are called where a coupling stands in its place. */
const AT_COUPLING: Partial<Record<PointId, string>> = {
  otherAxleLip: 'Ground to the coupling',
  otherAxleLoad: 'Load on the coupling',
};

/** Points of the rear eye, as they are called where a pad stands in its place. */
const AT_PAD: Partial<Record<PointId, string>> = {
  eyeToPinRear: 'Bearing on the pad to centre bolt',
  eyeToEye: 'Front eye to the pad, straight',
};
/** And how they are read there. */
const READ_AT_PAD: Partial<Record<PointId, string>> = {
  eyeToPinRear: 'Along the main leaf, from where it bears on its pad to the centre bolt, weight on.',
  eyeToEye: 'Straight line from the front eye’s centre to where the main leaf bears on its pad, weight on.',
  loadedArch:
    'Line from the front eye’s centre to where the main leaf bears on its pad, down to the top face of the main leaf at the centre bolt, weight on. Minus when the leaf stands above the line.',
};

/** What a point is called on this vehicle. */
export const pointName = (view: JobView, point: PointId): string =>
  (formOf(view.vehicle.form).hitched && AT_COUPLING[point]) ||
  (view.pack.rearEnd === 'pad' && AT_PAD[point]) ||
  (callsOf(view.axle.suspension, point)?.label ?? pointOf(point).label);

/** How a point is read on this vehicle. */
export const howTo = (view: JobView, point: PointId): string =>
  (view.pack.rearEnd === 'pad' && READ_AT_PAD[point]) ||
  (view.pack.shackleAt === 'front' && READ_TURNED[point]) ||
  (callsOf(view.axle.suspension, point)?.howTo ?? pointOf(point).howTo);

/** And where the shackle is at the front. */
const READ_TURNED: Partial<Record<PointId, string>> = {
  shackleAngle: 'Between the line through the eyes, towards the rear, and the shackle; 90° is square.',
};

const packsOf = (view: JobView) => [view.pack, ...(view.own ? [view.own.pack] : [])];

/** Whether a vehicle has what a point reads: a coupling no springs of its own, a spring's end under a pad no shackle. */
export const has = (view: JobView, point: PointId): boolean =>
  !(
    point === 'formedFlat' && packsOf(view).every(({ seatShape }) => seatShape === 'flat' || seatShape === 'concentric')
  ) &&
  !(point === 'overloadGap' && packsOf(view).every(({ lowestLeaf }) => lowestLeaf !== 'overload')) &&
  !(formOf(view.vehicle.form).hitched && point === 'otherAxleRate') &&
  !(view.pack.rearEnd === 'pad' && (point === 'shackleLength' || point === 'shackleAngle'));

/** The fields of one group in the order they are walked. */
export function groupFields(view: JobView, group: GroupId, stateId = view.states[0]?.id ?? null): FieldAt[] {
  const points = POINT_IDS.filter((id) => pointOf(id).group === group && has(view, id));
  const at = (point: PointId, side: Side | null = null, leafId: string | null = null): FieldAt => ({
    point,
    side,
    leafId,
    stateId: pointOf(point).loaded ? stateId : null,
  });
  // What the answer needs comes first, leaf by leaf where it is read of each; what only narrows or checks it after.
  const once = (minimal: boolean) => points.filter((id) => !pointOf(id).perLeaf && pointOf(id).minimal === minimal);
  const leafed = points.filter((id) => pointOf(id).perLeaf);
  const own = view.own?.pack.side ?? null;
  // Where the springs are unlike, what is read of a spring is read of both.
  const sidesOf = (point: PointId): (Side | null)[] =>
    pointOf(point).sided ? [...SIDES] : own && pointOf(point).ofSpring ? [null, own] : [null];
  const fieldsOf = (point: PointId) => sidesOf(point).map((side) => at(point, side));
  return [
    ...once(true).flatMap(fieldsOf),
    ...[...view.leaves, ...(view.own?.leaves ?? [])].flatMap((leaf) =>
      // The main leaf's tips are its eyes.
      leafed.filter((point) => leaf.ordinal > 1 || OF_MAIN.includes(point)).map((point) => at(point, null, leaf.id)),
    ),
    ...once(false).flatMap(fieldsOf),
  ];
}

/** Groups of the sheet in which this vehicle has something to read. */
export const groupsShown = (view: JobView): PointGroup[] =>
  groupsOf(view.axle.suspension).filter((g) => groupFields(view, g.id as GroupId).length > 0);

/** Fields that read the spring again in another load state. */
export const againFields = (view: JobView, stateId: string): FieldAt[] =>
  againOf(view).flatMap((point) =>
    (pointOf(point).sided ? SIDES : [null]).map((side) => ({ point, side, leafId: null, stateId })),
  );

/** Every field of the sheet in the order of walking round the vehicle; the other load states last. */
export const allFields = (view: JobView): FieldAt[] => [
  ...groupsShown(view).flatMap((g) => groupFields(view, g.id as GroupId)),
  ...view.states.slice(1).flatMap((s) => againFields(view, s.id)),
];

/** Which leaf, from the main leaf 1 down, and which side a field is of; where the springs are unlike, each thing read of one says whose. */
export function whose(view: JobView, at: { point: PointId; side: Side | null; leafId: string | null }) {
  const side = view.own?.pack.side ?? null;
  const inOwn = view.own?.leaves.find((l) => l.id === at.leafId);
  const leaf = inOwn ?? view.leaves.find((l) => l.id === at.leafId);
  const { ofSpring, perLeaf } = pointOf(at.point);
  const ofBoth = side && (ofSpring || perLeaf) && at.side === null;
  return { leaf: leaf?.ordinal ?? null, side: at.side ?? (ofBoth ? (inOwn ? side : otherOf(side)) : null) };
}

/** How a field is spoken: its label, side, leaf and, away from the state of the day, its load state. */
export function spokenField(view: JobView, at: FieldAt): string {
  const { leaf, side } = whose(view, at);
  const state = view.states.find((s) => s.id === at.stateId);
  const other = state && state.ordinal > 0 ? state.name : undefined;
  return [pointName(view, at.point), leaf === null ? undefined : `leaf ${leaf}`, side, other]
    .filter(Boolean)
    .join(', ');
}
