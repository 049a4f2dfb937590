import { type Side } from '../../vehicle/side';
import { LEAF_SHEET, type LeafPoint } from './points';
import { type Point } from '../../sheet/point';
import { readingAt } from '../../sheet/reading';
import { type Sheet, type LeafReading } from './sheet';

/** Points without which no spring can be drawn. */
const DRAWN: readonly LeafPoint[] = [
  'loadedArch',
  'eyeToPinFront',
  'eyeToPinRear',
  'leafWidth',
  'uboltSpacing',
  'axleLoad',
];

export interface Provisional {
  sheet: Sheet;
  /** How many minimal readings a typical value stands in for. */
  filled: number;
}

/**
 * A sheet good enough to draw from: typical values stand in for minimal readings still missing, leaves tapering evenly.
 * For a dotted drawing only; never for a prediction.
 */
export function provisional(sheet: Sheet): Provisional {
  const base = sheet.states[0]?.id ?? null;
  const added: LeafReading[] = [];
  const stand = (point: LeafPoint, value: number, side: Side | null, leafId: string | null) => {
    const stateId = (LEAF_SHEET[point] as Point).loaded ? base : null;
    const found = readingAt(sheet, { point, side, leafId, stateId });
    if (found) return found.value;
    added.push({ point, phase: 'before', side, leafId, stateId, value, rolled: null });
    return value;
  };
  const typical = (point: LeafPoint): number => (LEAF_SHEET[point] as Point).rule.expected ?? 0;
  const padsRead = readingAt(sheet, { point: 'padLoad', side: 'left', stateId: base });
  const values = new Map<LeafPoint, number>();
  for (const point of DRAWN) {
    if (point === 'axleLoad' && padsRead) continue;
    if (point === 'loadedArch') {
      const other = readingAt(sheet, { point, side: 'right', stateId: base })?.value;
      stand(point, other ?? typical(point), 'left', null);
    } else values.set(point, stand(point, typical(point), null, null));
  }
  sheet.leafIds.forEach((leafId, i) => {
    const first = readingAt(sheet, { point: 'leafThickness', leafId: sheet.leafIds[0] ?? null })?.value;
    stand('leafThickness', first ?? typical('leafThickness'), null, leafId);
    if (i === 0) return;
    const share = 1 - (0.8 * i) / sheet.leafIds.length;
    stand('leafFront', (values.get('eyeToPinFront') ?? 0) * share, null, leafId);
    stand('leafRear', (values.get('eyeToPinRear') ?? 0) * share, null, leafId);
  });
  return { sheet: { ...sheet, readings: [...sheet.readings, ...added] }, filled: added.length };
}
