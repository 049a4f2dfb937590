import fc from 'fast-check';
import Papa from 'papaparse';
import { dimensionOf, kindOf, PART_KIND_IDS } from '@/core/parts/kinds';
import { COLUMNS, partsFile, readPartsFile } from './partsFile';
import { type ShelfItem } from './shelf';

const word = fc.string({ maxLength: 30 }).map((s) => s.trim());
const mm = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10);

const leafArb = fc.record({
  front: mm(40, 800),
  rear: mm(40, 800),
  thickness: mm(3, 20),
  camber: fc.option(mm(-100, 300)),
  clip: fc.boolean(),
});

const itemArb = fc
  .record({
    id: fc.uuid(),
    kind: fc.constantFrom(...PART_KIND_IDS),
    name: word.filter((s) => s !== ''),
    maker: word,
    number: word,
    used: fc.boolean(),
    quantity: fc.option(fc.integer({ min: 0, max: 500 })),
    price: fc.option(fc.integer({ min: 0, max: 99_999 }).map((n) => n / 100)),
    rating: fc.option(fc.integer({ min: 1, max: 9000 })),
    note: word,
    leaves: fc.array(leafArb, { minLength: 1, maxLength: 6 }),
    sizes: fc.integer({ min: 0, max: 3 }),
  })
  .map((a): ShelfItem => {
    const kind = kindOf(a.kind);
    const main = a.leaves[0]!;
    const leaves = (kind.leaves === 'none' ? [] : kind.leaves === 'one' ? [main] : a.leaves).map((l, k) => ({
      // Leaves of a pack are no longer than its main leaf.
      front: Math.min(l.front, main.front),
      frontTyped: String(Math.min(l.front, main.front)),
      rear: Math.min(l.rear, main.rear),
      rearTyped: `${Math.min(l.rear, main.rear)} mm`,
      thickness: l.thickness,
      thicknessTyped: String(l.thickness),
      camber: l.camber,
      camberTyped: l.camber === null ? null : String(l.camber),
      eyes: k === 0 ? ('both' as const) : ('none' as const),
      clip: l.clip,
    }));
    return {
      ...{ id: a.id, kind: a.kind, name: a.name, maker: a.maker, number: a.number, note: a.note, price: a.price },
      holding: a.quantity === null ? 'catalogue' : 'stock',
      condition: a.used ? 'used' : 'new',
      ...{ origin: '', ageYears: null, quantity: a.quantity, leadDays: 3, place: '', retired: false, form: null },
      rating: a.rating,
      ratingTyped: a.rating === null ? null : `${a.rating} kg`,
      dimensions: kind.dimensions.slice(0, a.sizes).map((dimension) => {
        const { rule } = dimensionOf(dimension);
        // Any value the field takes, written in the field's own unit.
        const value = rule.dimension === 'angle' ? Math.PI / 60 : Math.max(rule.min, Math.min(rule.max, 40));
        if (rule.dimension === 'thread') return { dimension, value: 12, typed: 'M12 x 1.25' };
        return { dimension, value, typed: rule.dimension === 'angle' ? '3 deg' : String(value) };
      }),
      leaves,
      ...{ version: 4, updatedBy: 'x', updatedAt: 'x', photos: [] },
    };
  });

test('whatever lies on the shelf comes back from its file as it was', () => {
  fc.assert(
    fc.property(fc.uniqueArray(itemArb, { maxLength: 8, selector: (i) => i.id }), (items) => {
      const { rows, problems } = readPartsFile(partsFile(items));
      expect(problems).toEqual([]);
      const inOrder = <T extends { dimension: string }>(of: readonly T[]) =>
        of.toSorted((p, q) => p.dimension.localeCompare(q.dimension));
      expect(rows.map(({ line, ...row }) => ({ ...row, dimensions: inOrder(row.dimensions) }))).toEqual(
        items.map(({ updatedAt, updatedBy, photos, ...item }) => ({
          ...item,
          dimensions: inOrder(item.dimensions).map((d) => ({ ...d, value: expect.closeTo(d.value, 9) as number })),
        })),
      );
    }),
    { numRuns: 150 },
  );
});

/** A file with these cells, one object a line. */
const fileOf = (...rows: Record<string, string>[]): string =>
  Papa.unparse({ fields: [...COLUMNS], data: rows.map((row) => COLUMNS.map((name) => row[name] ?? '')) });
const block = { kind: 'block', name: 'Block', height: '35', quantity: '2', holding: 'stock' };
const pack = { kind: 'pack', name: 'Pack', leaves: '600|640|8|90|eyes both; 400|420|8' };

test.each<[string, Record<string, string>, string, RegExp]>([
  ['a kind nobody knows', { ...block, kind: 'spring' }, 'kind', /no kind of part/],
  ['no name', { ...block, name: '' }, 'name', /name/],
  ['a size of another kind', { ...block, legLength: '190' }, 'legLength', /A block has no leg/],
  ['a fraction without a unit', { ...block, height: '1 3/8' }, 'height', /Which unit.*Write the unit/],
  ['a word for a number', { ...block, height: 'tall' }, 'height', /cannot be read/],
  ['a size that cannot be', { ...block, height: '900 mm' }, 'height', /outside/],
  ['a price in words', { ...block, price: 'cheap' }, 'price', /not a number/],
  ['stock without a count', { ...block, quantity: '' }, 'quantity', /How many/],
  ['a count in a catalogue', { ...block, holding: 'catalogue' }, 'quantity', /catalogue part has no quantity/],
  ['half a part', { ...block, quantity: '1.5' }, 'quantity', /int/],
  ['a form of another kind', { ...block, form: 'round' }, 'form', /does not come in the form/],
  ['leaves where there are none', { ...block, leaves: '600|640|8' }, 'leaves', /has no leaves/],
  ['a pack without leaves', { ...pack, leaves: '' }, 'leaves', /needs its leaves/],
  ['a leaf without thickness', { ...pack, leaves: '600|640' }, 'leaves', /needs front, rear and thickness/],
  [
    'a leaf longer than the main leaf',
    { ...pack, leaves: '600|640|8; 700|640|8' },
    'leaves',
    /longer than the main leaf/,
  ],
  ['a mark nobody knows', { ...pack, leaves: '600|640|8|90|bent' }, 'leaves', /neither eyes both/],
  ['an id that is none', { ...block, id: '17' }, 'id', /no id of this shelf/],
])('%s is named by line, column and reason, and nothing else is read', (_, row, column, reason) => {
  const { rows, problems } = readPartsFile(fileOf(block, row));
  expect(problems[0]).toMatchObject({ line: 3, column, reason: expect.stringMatching(reason) as string });
  expect(rows).toHaveLength(1);
});

test('a line break inside a cell does not shift the line of a later fault', () => {
  const { problems } = readPartsFile(fileOf({ ...block, note: 'one\ntwo\nthree' }, { ...block, height: 'x' }));
  expect(problems.map((p) => p.line)).toEqual([5]);
});

test('an unknown column is a fault, not a loss; so is a part that stands twice', () => {
  expect(readPartsFile('kind,name,colour\nblock,B,green').problems).toEqual([
    { line: 1, column: 'colour', reason: expect.stringMatching(/would be lost/) as string },
  ]);
  const id = '5a1e0000-0000-4000-8000-000000000001';
  expect(readPartsFile(fileOf({ ...block, id }, { ...block, id })).problems).toEqual([
    { line: 3, column: 'id', reason: expect.stringMatching(/line 2/) as string },
  ]);
});

test('two columns are read, an open quote swallows nothing in silence, of very many faults a hundred are told', () => {
  expect(readPartsFile('kind,name\nstop,Stop of rubber\n').problems).toEqual([]);
  expect(readPartsFile('kind,name\nstop,"Stop\nstop,B\nstop,C\n')).toEqual({
    rows: [],
    problems: [{ line: 2, column: '', reason: expect.stringMatching(/never closed/) as string }],
  });
  expect(readPartsFile(`kind,name\n${'spring,B\n'.repeat(5000)}`).problems).toHaveLength(100);
});

test('inches, decimal commas and a byte order mark are read', () => {
  const { rows, problems } = readPartsFile(`\uFEFF${fileOf({ ...block, height: '1 3/8 in', price: '12,50' })}`);
  expect(problems).toEqual([]);
  expect(rows[0]).toMatchObject({
    price: 12.5,
    dimensions: [{ dimension: 'height', value: 34.925, typed: '1 3/8 in' }],
  });
});

test('nonsense is refused with a reason and never throws', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 400 }), (text) => {
      const { rows, problems } = readPartsFile(text);
      // Whatever it is, it has no header that says kind and name.
      expect(rows).toEqual([]);
      expect(problems.length).toBeGreaterThan(0);
    }),
  );
});
