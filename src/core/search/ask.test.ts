import fc from 'fast-check';
import { readSearch } from './ask';

const mm = (text: string) => readSearch(text).sizes.map(({ ranges }) => ranges.map((r) => (r.from + r.to) / 2));

test('sizes are read across one another, with one unit for all, with fractions, or bare in both units', () => {
  expect(mm('leaf 60x8 mm')).toEqual([[60], [8]]);
  expect(mm('2 1/2 x 5/16 in')).toEqual([[63.5], [7.9375]]);
  expect(mm('60 × 8')).toEqual([
    [60, 1524],
    [8, 203.2],
  ]);
  expect(mm('block 45 mm')).toEqual([[45]]);
  expect(readSearch('leaf 60x8').words).toEqual([['leaf']]);
});

test('numbers of parts, threads and names of jobs are words', () => {
  for (const text of ['SP-480', '4711', 'M12x1.25', '1/2-20', 'ab60x8cd'])
    expect(readSearch(text)).toEqual({ words: [[text.toLowerCase()]], sizes: [] });
});

test('a word of the trade is also looked for by its other words, wrong ones too', () => {
  const [ways] = readSearch('center bolt').words;
  expect(ways).toEqual(expect.arrayContaining(['center bolt', 'centre bolt', 'dowel']));
  expect(readSearch('rusty bushing').words).toEqual([['rusty'], expect.arrayContaining(['bushing', 'bush'])]);
  expect(readSearch('u-bolt')).toEqual({
    words: [expect.arrayContaining(['u-bolt', 'u bolt'])],
    sizes: [],
  });
});

test('whatever is typed is read, within limits', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 80 }), (text) => {
      const { words, sizes } = readSearch(text);
      expect(words.length).toBeLessThanOrEqual(6);
      expect(sizes.every((s) => s.ranges.every((r) => r.from < r.to))).toBe(true);
      expect(words.flat().every((w) => w.trim() !== '')).toBe(true);
    }),
  );
});
