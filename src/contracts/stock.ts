import { EYE_FORMS } from '@/core/leafpack/eyes';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type StockPart } from '@/core/selection/parts';
import { type ShelfItem } from './shelf';

/** Parts of a pair that must lie on the shelf to be had at once. */
const PAIR = 2;

/** A part of the shelf as the search for candidates sees it. */
export function stockPartOf(item: Omit<ShelfItem, 'photos' | 'version' | 'updatedAt' | 'updatedBy'>): StockPart {
  const size = (id: PartDimensionId) => item.dimensions.find((d) => d.dimension === id)?.value ?? null;
  return {
    id: item.id,
    kind: item.kind,
    name: [item.name, item.number].filter(Boolean).join(', '),
    price: item.price,
    days: (item.quantity ?? 0) >= PAIR ? 0 : item.holding === 'stock' && item.leadDays === 0 ? null : item.leadDays,
    used: item.condition === 'used',
    rating: item.rating,
    form: EYE_FORMS.find((form) => form === item.form) ?? null,
    width: size('width'),
    leaves: item.leaves,
    freeArch: size('freeArch'),
    eyeBore: size('eyeBore'),
    height: size('height'),
    dowel: size('dowel'),
    dowelHole: size('dowelHole'),
    betweenBolts: size('betweenBolts'),
    insideWidth: size('insideWidth'),
  };
}
