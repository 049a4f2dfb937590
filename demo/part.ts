// How the parts of the invented workshop are written down.
import { type ShelfLeaf } from '@/contracts/shelf';
import { type PartDimensionId, type PartKind } from '@/core/parts/kinds';

export type PartTexts = Partial<Record<PartDimensionId, string>>;

export interface Given {
  kind: PartKind;
  name: string;
  maker?: string;
  number?: string;
  /** Stock with this quantity; absent = catalogue. */
  stock?: number;
  used?: { origin: string; age: number };
  price?: number;
  days?: number;
  rating?: number;
  form?: string;
  place?: string;
  note?: string;
  sizes?: PartTexts;
  leaves?: ShelfLeaf[];
}

export const leaf = (
  front: number,
  rear: number,
  thickness: number,
  camber: number | null,
  eyes = false,
  clip = false,
): ShelfLeaf => ({
  front,
  frontTyped: String(front),
  rear,
  rearTyped: String(rear),
  thickness,
  thicknessTyped: String(thickness),
  camber,
  camberTyped: camber === null ? null : String(camber),
  eyes: eyes ? 'both' : 'none',
  clip,
});

/** Free camber of a leaf of this radius over its own length, whole mm. */
export const camberOf = (length: number, radius: number): number =>
  Math.round(radius - Math.sqrt(radius * radius - (length * length) / 4));

/** A pack whose leaves step down evenly, each a little more curved than the one above. */
export function steps(
  front: number,
  rear: number,
  count: number,
  thickness: number,
  radius: number,
  shortest: number,
): ShelfLeaf[] {
  return Array.from({ length: count }, (_, k) => {
    const share = 1 - ((1 - shortest) * k) / Math.max(1, count - 1);
    const [f, r] = k === 0 ? [front, rear] : [Math.round(front * share), Math.round(rear * share)];
    const curved = radius - k * (thickness + radius * 0.012);
    return leaf(f, r, thickness, camberOf(f + r, curved), k === 0, k === Math.min(2, count - 2) && count > 3);
  });
}
