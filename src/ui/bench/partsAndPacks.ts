import { type PartEdit, type ShelfItem } from '@/contracts/shelf';
import { type BenchLeaf, type BenchPack } from '@/core/bench/benchPack';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { threadNamed } from '@/core/thread/thread';
import { type PartDimensionId } from '@/core/parts/kinds';
import { valueOf } from '../shelf/partText';

/** A part of the shelf laid on the bench. */
export function packOfPart(item: ShelfItem): BenchPack {
  const size = (id: PartDimensionId) => valueOf(item, id) ?? null;
  const name = (id: PartDimensionId) => item.dimensions.find((d) => d.dimension === id)?.typed ?? null;
  const used = item.condition === 'used';
  return {
    name: item.name,
    leaves: item.leaves.map((leaf, k): BenchLeaf => ({
      id: `${item.id}|${k}`,
      front: leaf.front,
      rear: leaf.rear,
      thickness: leaf.thickness,
      camber: leaf.camber,
      eyes: leaf.eyes,
      clip: leaf.clip,
      width: size('width'),
      hole: size('centreHole'),
      ends: 'square',
      from: item.name,
      used,
      toMake: false,
      broken: null,
    })),
    freeArch: size('freeArch'),
    eyeForm: EYE_FORMS.find((form) => form === item.form) ?? null,
    eyeBore: size('eyeBore'),
    boltFront: name('boltFront'),
    boltRear: name('boltRear'),
    centreBolt: size('centreHole'),
    rate: size('rate'),
    rating: item.rating,
  };
}

const text = (value: number): string => `${Number(value.toFixed(2))} mm`;

/** A pack from the bench as a new part of the shelf; it is made of what lies there, so it is one and has no rating yet. */
export function partOfPack(pack: BenchPack, name: string, id: string): PartEdit {
  const used = pack.leaves.some((leaf) => leaf.used);
  const sizes: [PartDimensionId, number | null][] = [
    ['width', pack.leaves[0]?.width ?? null],
    ['eyeBore', pack.eyeBore],
    ['centreHole', pack.centreBolt],
  ];
  const threads = (['boltFront', 'boltRear'] as const).flatMap((dimension) => {
    const thread = pack[dimension] === null ? undefined : threadNamed(pack[dimension]);
    return thread ? [{ dimension, value: thread.diameter, typed: thread.name as string }] : [];
  });
  const origins = [...new Set(pack.leaves.map((leaf) => leaf.from))];
  return {
    id,
    version: 0,
    kind: 'pack',
    name,
    maker: '',
    number: '',
    holding: 'stock',
    condition: used ? 'used' : 'new',
    origin: used ? origins.join(' and ').slice(0, 160) : '',
    ageYears: null,
    quantity: pack.leaves.some((leaf) => leaf.toMake) ? 0 : 1,
    price: null,
    leadDays: null,
    rating: null,
    ratingTyped: null,
    form: pack.eyeForm,
    place: '',
    note: `Laid together on the bench from ${origins.join(' and ')}.`.slice(0, 500),
    retired: false,
    dimensions: [
      ...sizes.flatMap(([dimension, value]) => (value === null ? [] : [{ dimension, value, typed: text(value) }])),
      ...threads,
    ],
    leaves: pack.leaves.map(({ front, rear, thickness, camber, eyes, clip }) => ({
      front,
      frontTyped: text(front),
      rear,
      rearTyped: text(rear),
      thickness,
      thicknessTyped: text(thickness),
      camber,
      camberTyped: camber === null ? null : text(camber),
      eyes,
      clip,
    })),
  };
}
