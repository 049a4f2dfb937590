import { derivedDimensions, DERIVED, kindOf, PART_DIMENSION_IDS, PART_KIND_IDS, wordsOf } from './kinds';

test('a number is found with and without its dashes, a name by each of its words', () => {
  const words = wordsOf(['Add-a-leaf, long', 'Brenholt', 'BR-44 10/R']);
  for (const word of ['leaf', 'long', 'brenholt', 'br', '44', '10', 'br44', '10r']) expect(words).toContain(word);
  expect(words).not.toContain('a');
});

test('a part with leaves derives its thickness and reach from them; one without derives nothing', () => {
  const leaf = { front: 600, rear: 640, thickness: 8, camber: null, eyes: 'both' as const, clip: false };
  const short = { ...leaf, front: 300, rear: 320, thickness: 10, eyes: 'none' as const };
  expect(derivedDimensions([leaf, short])).toEqual({ leafCount: 2, thickness: 18, front: 600, rear: 640 });
  expect(derivedDimensions([])).toEqual({});
});

test('every dimension is asked for by some kind or follows from leaves, and none is asked for twice', () => {
  const asked = PART_KIND_IDS.flatMap((kind) => kindOf(kind).dimensions);
  const used = new Set<string>([...asked, ...DERIVED]);
  expect(PART_DIMENSION_IDS.filter((id) => !used.has(id))).toEqual([]);
  for (const kind of PART_KIND_IDS) {
    const { dimensions } = kindOf(kind);
    expect(new Set(dimensions).size).toBe(dimensions.length);
    expect(dimensions.some((id) => (DERIVED as readonly string[]).includes(id))).toBe(false);
  }
});
