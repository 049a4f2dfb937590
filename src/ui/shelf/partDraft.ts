import { type PartEdit, type ShelfItem, type ShelfLeaf } from '@/contracts/shelf';
import { kindOf, type LeafEyes, type PartDimensionId } from '@/core/parts/kinds';
import { type Typed } from '../measured/TypedField';

/** A leaf while it is being typed. */
export interface LeafDraft {
  key: string;
  front: Typed | null;
  rear: Typed | null;
  thickness: Typed | null;
  camber: Typed | null;
  eyes: LeafEyes;
  clip: boolean;
}

/** A part while it is being typed. */
export interface PartDraft extends Pick<
  PartEdit,
  | 'id'
  | 'version'
  | 'kind'
  | 'name'
  | 'maker'
  | 'number'
  | 'holding'
  | 'condition'
  | 'origin'
  | 'form'
  | 'place'
  | 'note'
  | 'retired'
> {
  ageYears: Typed | null;
  quantity: Typed | null;
  price: Typed | null;
  leadDays: Typed | null;
  rating: Typed | null;
  dimensions: Partial<Record<PartDimensionId, Typed>>;
  leaves: LeafDraft[];
}

export const emptyLeaf = (key: string, main: boolean): LeafDraft => ({
  key,
  front: null,
  rear: null,
  thickness: null,
  camber: null,
  eyes: main ? 'both' : 'none',
  clip: false,
});

export const emptyPart = (id: string): PartDraft => ({
  id,
  version: 0,
  kind: 'leaf',
  name: '',
  maker: '',
  number: '',
  holding: 'stock',
  condition: 'new',
  origin: '',
  form: null,
  place: '',
  note: '',
  retired: false,
  ageYears: null,
  quantity: null,
  price: null,
  leadDays: null,
  rating: null,
  dimensions: {},
  leaves: [emptyLeaf('0', false)],
});

const plain = (value: number | null): Typed | null => (value === null ? null : { value, typed: String(value) });

export function draftOfPart(item: ShelfItem): PartDraft {
  const { photos, updatedAt, updatedBy, ...rest } = item;
  return {
    ...rest,
    ageYears: plain(item.ageYears),
    quantity: plain(item.quantity),
    price: plain(item.price),
    leadDays: plain(item.leadDays),
    rating: item.rating === null ? null : { value: item.rating, typed: item.ratingTyped! },
    dimensions: Object.fromEntries(
      item.dimensions.flatMap((d) => (d.typed === null ? [] : [[d.dimension, { value: d.value, typed: d.typed }]])),
    ),
    leaves: item.leaves.map((leaf, k) => ({
      key: String(k),
      front: { value: leaf.front, typed: leaf.frontTyped },
      rear: { value: leaf.rear, typed: leaf.rearTyped },
      thickness: { value: leaf.thickness, typed: leaf.thicknessTyped },
      camber: leaf.camber === null ? null : { value: leaf.camber, typed: leaf.camberTyped! },
      eyes: leaf.eyes,
      clip: leaf.clip,
    })),
  };
}

/** What a draft still lacks before it can be sent, in words; empty when it can. */
export function lacking(draft: PartDraft): string[] {
  const lacks: string[] = [];
  if (draft.name.trim() === '') lacks.push('a name');
  if (draft.holding === 'stock' && !draft.quantity) lacks.push('how many there are');
  if (kindOf(draft.kind).leaves !== 'none')
    draft.leaves.forEach((leaf, k) => {
      if (!leaf.front || !leaf.rear || !leaf.thickness) lacks.push(`the lengths and thickness of leaf ${k + 1}`);
    });
  return lacks;
}

/** The draft as it is sent; only of a draft that lacks nothing. */
export function editOf(draft: PartDraft): PartEdit {
  const kind = kindOf(draft.kind);
  const leafOf = (leaf: LeafDraft): ShelfLeaf => ({
    front: leaf.front!.value,
    frontTyped: leaf.front!.typed,
    rear: leaf.rear!.value,
    rearTyped: leaf.rear!.typed,
    thickness: leaf.thickness!.value,
    thicknessTyped: leaf.thickness!.typed,
    camber: leaf.camber?.value ?? null,
    camberTyped: leaf.camber?.typed ?? null,
    eyes: leaf.eyes,
    clip: leaf.clip,
  });
  return {
    ...draft,
    origin: draft.condition === 'used' ? draft.origin : '',
    ageYears: draft.condition === 'used' ? (draft.ageYears?.value ?? null) : null,
    quantity: draft.holding === 'stock' ? (draft.quantity?.value ?? 0) : null,
    price: draft.price?.value ?? null,
    leadDays: draft.leadDays?.value ?? null,
    rating: draft.rating?.value ?? null,
    ratingTyped: draft.rating?.typed ?? null,
    form: kind.forms.some((f) => f.id === draft.form) ? draft.form : null,
    dimensions: kind.dimensions.flatMap((dimension) => {
      const typed = draft.dimensions[dimension];
      return typed ? [{ dimension, ...typed }] : [];
    }),
    leaves: kind.leaves === 'none' ? [] : draft.leaves.map(leafOf),
  };
}
