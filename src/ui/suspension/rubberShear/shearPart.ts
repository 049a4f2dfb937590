import { type ChangeRow } from '@/contracts/plan';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type ShearPart, type ShearWay } from '@/core/suspension/rubberShear/ways';

/** A part of the shelf as the search for shear blocks sees it; undefined for any other. */
export function shearPartOf(item: ShelfItem): ShearPart | undefined {
  if (item.kind !== 'shearBlock') return undefined;
  const { id, name, price, days, used } = stockPartOf(item);
  const size = (dimension: PartDimensionId) => item.dimensions.find((d) => d.dimension === dimension)?.value ?? null;
  return {
    id,
    name,
    price,
    days,
    used,
    rate: size('rate'),
    thick: size('rubber'),
    offset: size('offset'),
    rows: size('rows'),
  };
}

const text = (value: number, unit = 'mm'): string => `${Number(value.toFixed(2))} ${unit}`;

/** A way as the lines of a plan, every part by its name. */
export const planOfShear = (way: ShearWay): ChangeRow[] =>
  way.changes.map((change): ChangeRow => {
    if (change.kind === 'blockHoles') return { ...change, byTyped: text(change.by) };
    const part = way.parts[0]!;
    return {
      ...change,
      ...{ rateTyped: text(change.rate, 'N/mm'), thickTyped: text(change.thick), offsetTyped: text(change.offset) },
      ...{ partId: part.id, partName: part.name.slice(0, 160) },
    };
  });
