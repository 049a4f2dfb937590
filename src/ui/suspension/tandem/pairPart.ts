import { type ChangeRow } from '@/contracts/plan';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { type PartDimensionId } from '@/core/parts/kinds';
import { type PlannedTandemChange } from '@/core/suspension/tandem/assemble';
import { type PairPart, type PairWay } from '@/core/suspension/tandem/ways';

/** Tips that reach this near to the main leaf's are of full length, mm. */
const FULL = 20;

/** A part of the shelf as the search for a pair sees it; undefined for any other. */
export function pairPartOf(item: ShelfItem): PairPart | undefined {
  const { id, name, price, days, used } = stockPartOf(item);
  const size = (dimension: PartDimensionId) => item.dimensions.find((d) => d.dimension === dimension)?.value ?? null;
  const part = (what: PairPart['what'] | null): PairPart | undefined =>
    what ? { id, name, price, days, used, what } : undefined;
  switch (item.kind) {
    case 'pack': {
      const main = item.leaves[0];
      const width = size('width');
      if (!main || width === null) return undefined;
      const like = item.leaves.every((leaf) => Math.abs(leaf.thickness - main.thickness) < 0.3);
      if (!like) return undefined;
      const full = item.leaves.filter((leaf) => leaf.front + leaf.rear > main.front + main.rear - FULL).length;
      return part({
        ...{ kind: 'springs', leaves: item.leaves.length, full, width, thickness: main.thickness },
        ...{
          front: main.front,
          rear: main.rear,
          free: size('freeArch'),
          plainEnd: main.eyes === 'front' || main.eyes === 'rear',
        },
      });
    }
    case 'shackle': {
      const length = size('betweenBolts');
      return part(length === null ? null : { kind: 'shackle', length, inside: size('insideWidth') });
    }
    case 'rocker': {
      const [front, rear] = [size('frontArm'), size('rearArm')];
      return part(
        front === null || rear === null ? null : { kind: 'rocker', front, rear, below: size('pinsBelow') ?? 0 },
      );
    }
    case 'hanger': {
      const drop = size('height');
      return part(
        item.form !== 'slipper' || drop === null ? null : { kind: 'slipper', drop, inside: size('insideWidth') },
      );
    }
    default:
      return undefined;
  }
}

const text = (value: number): string => `${Number(value.toFixed(2))} mm`;

/** One change of a way as a line of a plan: every figure with its text. */
function lineOf(change: PlannedTandemChange): ChangeRow {
  switch (change.kind) {
    case 'springs': {
      const { leaves, full, width, thickness, outer, inner, free } = change;
      return {
        ...change,
        ...{ leavesTyped: String(leaves), fullTyped: String(full), widthTyped: text(width) },
        ...{ thicknessTyped: text(thickness), outerTyped: text(outer), innerTyped: text(inner), freeTyped: text(free) },
      };
    }
    case 'shackle':
      return { ...change, lengthTyped: text(change.length) };
    case 'rocker':
      return {
        ...change,
        ...{ frontTyped: text(change.front), rearTyped: text(change.rear), belowTyped: text(change.below) },
      };
    case 'slipper':
      return { ...change, dropTyped: text(change.drop) };
    case 'riser':
    case 'overAxle':
      return { ...change, heightTyped: text(change.height) };
    case 'hitch':
      return { ...change, byTyped: text(change.by) };
  }
}

/** A way as the lines of a plan, every part by its name. */
export const planOfPair = (way: PairWay): ChangeRow[] =>
  way.changes.map((change, k): ChangeRow => {
    const part = way.parts[k];
    return { ...lineOf(change), ...(part && { partId: part.id, partName: part.name.slice(0, 160) }) };
  });
