import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { threadNamed } from '@/core/thread/thread';
import { type UboltPart } from '@/core/fastener/uboltOrder';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type StockPart } from '@/core/selection/parts';
import { type ShelfItem } from './shelf';

/** Parts of a pair that must lie on the shelf to be had at once. */
const PAIR = 2;

/** What is known of a U-bolt on the shelf: its thread by name. */
export function uboltPartOf(item: Pick<ShelfItem, 'dimensions' | 'form'>): UboltPart {
  const of = (id: PartDimensionId) => item.dimensions.find((d) => d.dimension === id);
  const named = of('thread')?.typed;
  const thread = named ? threadNamed(named) : undefined;
  return {
    diameter: thread?.diameter ?? null,
    pitch: thread?.pitch ?? null,
    insideWidth: of('insideWidth')?.value ?? null,
    legLength: of('legLength')?.value ?? null,
    threadLength: of('threadLength')?.value ?? null,
    form: item.form,
  };
}

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
    ...(item.kind === 'ubolt' && { ubolt: uboltPartOf(item) }),
  };
}
