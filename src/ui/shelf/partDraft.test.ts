import { partEditSchema, type ShelfItem } from '@/contracts/shelf';
import { laidOut, done } from '@/core/bench/benchPack';
import { demoParts } from '../../../demo/shelf';
import { packOfPart, partOfPack } from '../bench/partsAndPacks';
import { draftOfPart, editOf, emptyPart, lacking } from './partDraft';

const items = demoParts((n) => `5a1e0009-0000-4000-8000-${String(n).padStart(12, '0')}`).map((part): ShelfItem => ({
  ...part,
  version: 3,
  updatedBy: 'x',
  updatedAt: 'x',
  photos: [],
}));

test('every part of the shelf can be opened for changing and sent as it was', () => {
  for (const item of items) {
    const draft = draftOfPart(item);
    expect(lacking(draft)).toEqual([]);
    const { updatedAt, updatedBy, photos, ...rest } = item;
    const inOrder = (edit: Pick<ShelfItem, 'dimensions'>) => edit.dimensions.map((d) => d.dimension).toSorted();
    const edit = editOf(draft);
    expect({ ...edit, dimensions: inOrder(edit) }).toEqual({ ...rest, dimensions: inOrder(rest) });
    expect(partEditSchema.safeParse(edit).success).toBe(true);
  }
});

test('a new part says what it still lacks, in words', () => {
  expect(lacking(emptyPart('x'))).toEqual(['a name', 'how many there are', 'the lengths and thickness of leaf 1']);
});

test('a pack laid on the bench, changed and put on the shelf is a part the shelf takes, and lies there again as it was', () => {
  const item = items.find((i) => i.kind === 'pack')!;
  const bench = done(laidOut(packOfPart(item)), { kind: 'flip', leaf: `${item.id}|1` }).now;
  const part = partOfPack(bench, 'mixed', '5a1e0009-0000-4000-8000-0000000000ff');
  expect(partEditSchema.safeParse(part).success).toBe(true);
  expect(part.rating).toBeNull();
  const again = packOfPart({ ...part, updatedBy: 'x', updatedAt: 'x', photos: [] });
  again.leaves.forEach((leaf, k) =>
    expect(leaf).toMatchObject({
      front: bench.leaves[k]!.front,
      rear: bench.leaves[k]!.rear,
      camber: bench.leaves[k]!.camber,
    }),
  );
});
