import { type ChangeRow } from '@/contracts/plan';
import { type ChangeOf } from '@/contracts/planKinds';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type PlannedCrossChange } from '@/core/suspension/transverseLeaf/assemble';
import { type CrossPart, type CrossWay } from '@/core/suspension/transverseLeaf/ways';

/** Tips that reach this near to the main leaf's are of full length, mm. */
const FULL = 20;

/** A part of the shelf as the search for a spring across sees it; undefined for any other. */
export function crossPartOf(item: ShelfItem): CrossPart | undefined {
  const { id, name, price, days, used } = stockPartOf(item);
  const size = (dimension: PartDimensionId) => item.dimensions.find((d) => d.dimension === dimension)?.value ?? null;
  const part = (what: CrossPart['what'] | null): CrossPart | undefined =>
    what ? { id, name, price, days, used, what } : undefined;
  const drop = size('drop');
  if (item.kind === 'spindle') return part(drop === null || item.form !== 'pair' ? null : { kind: 'spindles', drop });
  if (item.kind === 'dropAxle') return part(drop === null ? null : { kind: 'dropAxle', drop });
  const [main, width] = [item.leaves[0], size('width')];
  if (item.kind !== 'pack' || !main || width === null) return undefined;
  if (item.leaves.some((leaf) => Math.abs(leaf.thickness - main.thickness) >= 0.3)) return undefined;
  const last = item.leaves.at(-1)!;
  return part({
    ...{ kind: 'crossSpring', leaves: item.leaves.length, width, thickness: main.thickness },
    full: item.leaves.filter((leaf) => leaf.front + leaf.rear > main.front + main.rear - FULL).length,
    ...{ front: main.front, rear: main.rear, shortest: (last.front + last.rear) / 2, free: size('freeArch') },
  });
}

const text = (value: number): string => `${Number(value.toFixed(2))} mm`;

/** One change of a way as a line of a plan: every figure with its text. */
function lineOf(change: PlannedCrossChange): ChangeOf<'transverseLeaf'> {
  if (change.kind === 'dropAxle') return { ...change, byTyped: text(change.by) };
  if (change.kind === 'spindles') return { ...change, leftTyped: text(change.left), rightTyped: text(change.right) };
  const { leaves, full, width, thickness, half, shortest, free } = change;
  return {
    ...change,
    ...{ leavesTyped: String(leaves), fullTyped: String(full), widthTyped: text(width) },
    ...{ thicknessTyped: text(thickness), halfTyped: text(half), shortestTyped: text(shortest), freeTyped: text(free) },
  };
}

/** A way as the lines of a plan, every part by its name. */
export const planOfCross = (way: CrossWay): ChangeRow[] =>
  way.changes.map((change, k): ChangeRow => {
    const part = way.parts[k]!;
    return { ...lineOf(change), partId: part.id, partName: part.name.slice(0, 160) };
  });
