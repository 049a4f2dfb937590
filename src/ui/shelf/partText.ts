import { type ShelfItem } from '@/contracts/shelf';
import { dimensionOf, kindOf, type PartDimensionId } from '@/core/parts/kinds';
import { decimalText, priceText, quantityText } from '@/core/units/format';

/** What tells parts of a kind apart, in the order a mechanic asks for it. */
const TELLING: Partial<Record<ShelfItem['kind'], readonly PartDimensionId[]>> = {
  pack: ['leafCount', 'thickness', 'width', 'front', 'rear'],
  leaf: ['front', 'rear', 'thickness', 'width'],
  addLeafSet: ['leafCount', 'front', 'rear', 'thickness', 'width'],
  overload: ['front', 'rear', 'thickness', 'width'],
  block: ['height', 'width'],
  shackle: ['betweenBolts', 'insideWidth', 'bolt'],
  ubolt: ['thread', 'insideWidth', 'legLength'],
  coil: ['wire', 'outsideDiameter', 'turns', 'freeLength'],
  coilSpacer: ['height'],
};

export const valueOf = (item: Pick<ShelfItem, 'dimensions'>, id: PartDimensionId): number | undefined =>
  item.dimensions.find((d) => d.dimension === id)?.value;

/** One dimension of a part in words. */
export function dimensionText(
  item: Pick<ShelfItem, 'dimensions'>,
  id: PartDimensionId,
  lengthText: (mm: number) => string,
): string | undefined {
  const found = item.dimensions.find((d) => d.dimension === id);
  if (!found) return undefined;
  const { value, typed } = found;
  const { rule } = dimensionOf(id);
  // A thread is a name: as it was written, in whatever units the rest is shown.
  if (rule.dimension === 'thread') return typed ?? '';
  // Threads and fine sizes lose nothing to rounding.
  if (rule.dimension === 'length')
    return value < 30 && !Number.isInteger(value) ? `${decimalText(value, 2)} mm` : lengthText(value);
  return quantityText(value, rule.unit);
}

/** The sizes a part is told by, in one line. */
export function sizesText(item: ShelfItem, lengthText: (mm: number) => string): string {
  const ids = TELLING[item.kind] ?? kindOf(item.kind).dimensions.slice(0, 3);
  return ids
    .flatMap((id) => {
      const text = dimensionText(item, id, lengthText);
      return text === undefined ? [] : [`${SHORT[id] ?? dimensionOf(id).name} ${text}`];
    })
    .join(', ');
}
const SHORT: Partial<Record<PartDimensionId, string>> = { front: 'front', rear: 'rear', legLength: 'leg' };

/** Whether and when it can be had. */
export function availability(item: Pick<ShelfItem, 'holding' | 'quantity' | 'leadDays'>): string {
  if (item.quantity !== null && item.quantity > 0) return `${item.quantity} here`;
  const days =
    item.leadDays === null ? 'lead time not known' : item.leadDays === 0 ? 'at once' : `${item.leadDays} days`;
  return item.holding === 'stock' ? `none left, ${days}` : `order, ${days}`;
}

export const partPrice = (item: Pick<ShelfItem, 'price'>): string =>
  item.price === null ? 'no price' : priceText(item.price);

export const formName = (item: Pick<ShelfItem, 'kind' | 'form'>): string | undefined =>
  kindOf(item.kind).forms.find((f) => f.id === item.form)?.name;
