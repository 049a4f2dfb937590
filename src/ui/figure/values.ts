import { type JobView } from '@/contracts/job';
import { axleSheetOf } from '@/contracts/sheet';
import { pointOf, type PointId } from '@/core/measure/points';
import { ASSUMED_AXLE } from '@/core/sheet/assumed';
import { readingAt } from '@/core/sheet/reading';
import { otherOf, type Side } from '@/core/vehicle/side';

/** A dimension as a figure draws it; what nobody read is drawn dotted. */
export interface Drawn {
  value: number;
  known: boolean;
}

export type Values = (point: PointId, side?: Side | null, leafId?: string | null) => Drawn;

/** A typical value for a point of a kind of suspension; undefined where it has none. */
export type StandIn = (point: PointId, side: Side | null, leafId: string | null, values: Values) => number | undefined;

/** What stands in on a figure for a point that neither a reading nor the sheet's own defaults tell. mm, kg. */
const TYPICAL: Partial<Record<PointId, number>> = { groundToHub: 350, trackWidth: 1600, springBase: 1050 };

/** Values of a job's figures in one load state: readings where there are any, typical ones elsewhere. */
export function figureValues(view: JobView, stateId: string | null, ofKind?: StandIn): Values {
  const sheet = axleSheetOf(view);
  const base = sheet.states[0]?.id ?? null;
  const read = (point: PointId, side: Side | null, leafId: string | null) =>
    readingAt(sheet, { point, side, leafId, stateId: pointOf(point).loaded ? (stateId ?? base) : null })?.value;

  const standIn = (point: PointId, side: Side | null, leafId: string | null): number => {
    // A spring of its own is drawn like the other one until it is read.
    if (side && pointOf(point).ofSpring) return values(point, null, leafId).value;
    const mirrored = side && read(point, otherOf(side), leafId);
    if (mirrored !== null && mirrored !== undefined) return mirrored;
    const of = (p: PointId): number => values(p, side, null).value;
    switch (point) {
      case 'groundToLip':
        return of('groundToHub') + of('hubToLip');
      case 'otherAxleLip':
        return of('groundToLip');
      case 'otherAxleLoad':
        return of('axleLoad') * 0.8;
      case 'hubToHub':
        return sheet.wheelbase;
      case 'padLoad':
        return values('axleLoad').value / 2;
      case 'tyreRate':
        return ASSUMED_AXLE.tyreRate.value;
      default:
        return ofKind?.(point, side, leafId, values) ?? TYPICAL[point] ?? pointOf(point).rule.expected ?? 0;
    }
  };
  const values: Values = (point, side = null, leafId = null) => {
    const known = read(point, side, leafId);
    return known === undefined ? { value: standIn(point, side, leafId), known: false } : { value: known, known: true };
  };
  return values;
}

/** Loaded radius of the tyres as read on this side or the other, mm; null where nobody did. */
export const loadedRadius = (view: JobView): number | null => {
  const read = figureValues(view, null)('groundToHub', 'left');
  return read.known ? read.value : null;
};
