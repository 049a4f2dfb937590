import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { type Side } from '@/core/vehicle/side';
import { ASSUMED } from '@/core/suspension/longitudinalLeaf/assumed';
import { pointOf, type PointId } from '@/core/measure/points';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { readingAt } from '@/core/sheet/reading';

/** A dimension as a figure draws it; what nobody read is drawn dotted. */
export interface Drawn {
  value: number;
  known: boolean;
}

export type Values = (point: PointId, side?: Side | null, leafId?: string | null) => Drawn;

/** What stands in on a figure for a point that neither a reading nor the sheet's own defaults tell. mm, kg. */
const TYPICAL: Partial<Record<PointId, number>> = {
  groundToHub: 350,
  trackWidth: 1600,
  springBase: 1050,
  dowelDiameter: 18,
  padHole: 19,
  uboltExposed: 15,
  uboltPitch: 1.5,
  uboltThreaded: 60,
  uboltNut: ASSUMED.uboltNut,
};

/** Values of a job's figures in one load state: readings where there are any, typical ones elsewhere. */
export function figureValues(view: JobView, stateId: string | null): Values {
  const sheet = sheetOf(view, []);
  const base = sheet.states[0]?.id ?? null;
  const stand = provisional(sheet).sheet;
  const read = (point: PointId, side: Side | null, leafId: string | null) =>
    readingAt(sheet, { point, side, leafId, stateId: pointOf(point).loaded ? (stateId ?? base) : null })?.value;
  const other = (side: Side | null): Side | null => (side === 'left' ? 'right' : side === 'right' ? 'left' : null);

  const standIn = (point: PointId, side: Side | null, leafId: string | null): number => {
    // A spring of its own is drawn like the other one until it is read.
    if (side && pointOf(point).ofSpring) return values(point, null, leafId).value;
    const mirrored = side && read(point, other(side), leafId);
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
      case 'packThickness':
        return view.leaves.reduce((sum, leaf) => sum + values('leafThickness', null, leaf.id).value, 0);
      case 'padLoad':
        return values('axleLoad').value / 2;
      case 'eyeToEye':
        return (values('eyeToPinFront').value + values('eyeToPinRear').value) * 0.985;
      default: {
        const provided = readingAt(stand, {
          point,
          side: side && (readingAt(stand, { point, side, stateId: base }) ? side : 'left'),
          leafId,
          stateId: pointOf(point).loaded ? base : null,
        })?.value;
        const assumed = ASSUMED[point as keyof typeof ASSUMED] as { value?: number } | undefined;
        return provided ?? assumed?.value ?? TYPICAL[point] ?? pointOf(point).rule.expected ?? 0;
      }
    }
  };
  const values: Values = (point, side = null, leafId = null) => {
    const known = read(point, side, leafId);
    return known === undefined ? { value: standIn(point, side, leafId), known: false } : { value: known, known: true };
  };
  return values;
}
