import { type ChangeRow } from '@/contracts/plan';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type CoilPart, type CoilWay } from '@/core/suspension/coilBeam/ways';

/** A part of the shelf as the search for other coils sees it; undefined for any other. */
export function coilPartOf(item: ShelfItem): CoilPart | undefined {
  if (item.kind !== 'coil' && item.kind !== 'coilSpacer') return undefined;
  const { id, name, price, days, used } = stockPartOf(item);
  const size = (dimension: PartDimensionId) => item.dimensions.find((d) => d.dimension === dimension)?.value ?? null;
  return {
    ...{ id, name, price, days, used },
    kind: item.kind === 'coil' ? 'coil' : 'spacer',
    wire: size('wire'),
    outside: size('outsideDiameter'),
    turns: size('turns'),
    free: size('freeLength'),
    ends: COIL_ENDS.find((ends) => ends === item.form) ?? null,
    height: size('height'),
  };
}

const text = (value: number): string => `${Number(value.toFixed(2))} mm`;

/** A way as the lines of a plan: every figure with its text, every part by its name. */
export const planOfWay = (way: CoilWay): ChangeRow[] =>
  way.changes.map((change, k): ChangeRow => {
    const part = way.parts[k]!;
    const from = { partId: part.id, partName: part.name.slice(0, 160) };
    if (change.kind === 'spacer') return { ...change, heightTyped: text(change.height), ...from };
    const { wire, outside, turns, free } = change;
    return {
      ...change,
      ...{ wireTyped: text(wire), outsideTyped: text(outside), turnsTyped: String(turns), freeTyped: text(free) },
      ...from,
    };
  });
