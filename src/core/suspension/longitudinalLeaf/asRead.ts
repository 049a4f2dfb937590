import { type Drawn } from '../../estimate/tree';
import { curvatureFromCamber, flatWithin } from '../../mechanics/leafpack/arc';
import { nestsOf, withinMain, type Clip, type Leaf } from '../../mechanics/leafpack/pack';
import { type NestedPack } from './calibrate';
import { type PackInput, type SpringInput } from './input';

/** The break of a pack's leaf, where it has one. */
const brokenAt = (spring: Pick<SpringInput, 'broken'>, leaf: number): Pick<Leaf, 'broken'> => {
  const { broken } = spring;
  return broken?.leaf === leaf ? { broken: { end: broken.end, at: broken.at } } : {};
};

/** What lies between a leaf and the one above it; nothing over the main leaf. */
const linedAt = (pack: Drawn<PackInput>, leaf: number): Pick<Leaf, 'liner' | 'tipPad'> => ({
  ...(leaf > 0 && pack.liner !== undefined && { liner: pack.liner }),
  ...(leaf > 0 && pack.tipPad !== undefined && { tipPad: pack.tipPad }),
});

/** Clips of a pack, each round its leaf and all above it. */
const clipsOf = (pack: Drawn<PackInput>): Clip[] =>
  pack.leaves.flatMap((leaf, holds) =>
    (['front', 'rear'] as const).flatMap((end) => {
      const at = leaf.clips?.[end];
      return at === undefined || holds === 0 ? [] : [{ end, at, holds, slack: Math.max(0.1, pack.clipPlay ?? 0.1) }];
    }),
  );

/** Length formed flat of every leaf of the pack; undefined where the maker gave them one even arc. */
export const formedFlatOf = (pack: Drawn<PackInput> | null | undefined): number | undefined =>
  pack?.seatShape === 'formed' ? (pack.formedFlat ?? pack.seatLength) : undefined;

/** The leaves, clips and eyes of a pack as they were read, before anything is known of its curve. */
export function packAsRead(
  pack: Drawn<PackInput>,
  spring: Pick<SpringInput, 'broken'>,
): Pick<NestedPack, 'leaves' | 'own' | 'clips' | 'eyeOffset'> {
  const flat = formedFlatOf(pack);
  const own = pack.leaves.map(
    ({ front, rear, own: read }) =>
      read && curvatureFromCamber(read.camber, read.chord, flatWithin(flat, front + rear)),
  );
  const main = pack.leaves[0];
  const { width } = pack;
  const clips = clipsOf(pack);
  const sizes = pack.leaves.map(({ front, rear, thickness, tip }) =>
    withinMain(
      {
        ...{ front, rear, thickness, width },
        ...(flat !== undefined && { flat: flatWithin(flat, front + rear)! }),
        ...(tip !== undefined && { tipThickness: Math.min(tip, thickness) }),
      },
      main ?? { front, rear },
    ),
  );
  return {
    leaves: sizes.map((leaf, i) => {
      const nests = nestsOf(sizes, i);
      return { ...leaf, ...(nests && { nests }), ...linedAt(pack, i), ...brokenAt(spring, i) };
    }),
    ...(own.some((k) => k !== undefined) && { own }),
    ...(clips.length > 0 && { clips }),
    eyeOffset: { front: pack.eyeOffset, rear: pack.eyeOffsetRear ?? pack.eyeOffset },
  };
}
