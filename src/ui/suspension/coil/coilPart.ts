import { type ChangeRow } from '@/contracts/plan';
import { type ChangeOf } from '@/contracts/planKinds';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type PlannedCoilChange } from '@/core/suspension/coil/assemble';
import { type CoilKind } from '@/core/suspension/coil/input';
import { type CoilPart, type CoilWay } from '@/core/suspension/coil/ways';

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

/** One change of a way as a line of a plan: every figure with its text. */
function lineOf(change: PlannedCoilChange): ChangeOf<CoilKind> {
  switch (change.kind) {
    case 'spacer':
      return { ...change, heightTyped: text(change.height) };
    case 'perch': {
      const { pitch, left, right } = change;
      return { ...change, pitchTyped: text(pitch), leftTyped: String(left), rightTyped: String(right) };
    }
    case 'pivotBush':
      return change;
    case 'coil': {
      const { wire, outside, turns, free } = change;
      return {
        ...change,
        ...{ wireTyped: text(wire), outsideTyped: text(outside), turnsTyped: String(turns), freeTyped: text(free) },
      };
    }
  }
}

/** A way as the lines of a plan, every part by its name. */
export const planOfWay = (way: CoilWay): ChangeRow[] =>
  way.changes.map((change, k): ChangeRow => {
    const part = way.parts[k];
    return { ...lineOf(change), ...(part && { partId: part.id, partName: part.name.slice(0, 160) }) };
  });
