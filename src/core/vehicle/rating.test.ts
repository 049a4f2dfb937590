import { kitSuits, ratingGuard, type Rating } from './rating';

const all: Rating[] = [
  { part: 'plate', rating: 2000 },
  { part: 'axle', rating: 2200 },
  { part: 'tyres', rating: 1900 },
  { part: 'wheels', rating: 2400 },
  { part: 'hangers', rating: 2100 },
];

test('the weakest part counts', () => {
  expect(ratingGuard(1850, all)).toMatchObject({ state: 'fits', spare: 50, lowest: { part: 'tyres' } });
  expect(ratingGuard(1950, all)).toMatchObject({ state: 'does not fit', spare: -50 });
});
test('a part nobody looked up keeps it from being called good, but not from being called over', () => {
  expect(ratingGuard(1000, all.slice(0, 3))).toMatchObject({ state: 'not checked', missing: ['wheels', 'hangers'] });
  expect(ratingGuard(2100, all.slice(0, 1)).state).toBe('does not fit');
  expect(ratingGuard(100, [])).toMatchObject({ state: 'not checked', lowest: null, spare: null });
});
test('nonsense is refused with the field', () => {
  expect(() => ratingGuard(NaN, all)).toThrow(expect.objectContaining({ field: 'load' }) as Error);
  expect(() => ratingGuard(10, [{ part: 'tyres', rating: 0 }])).toThrow(
    expect.objectContaining({ field: 'tyres' }) as Error,
  );
});
// Common practice: a kit for axles of 5,200 to 7,000 lb.
test.each([
  [5000, false],
  [5200, true],
  [7000, true],
  [7200, false],
])('a %d lb axle: %s', (pounds, suits) => {
  const kg = (lb: number) => lb * 0.45359237;
  expect(kitSuits(kg(pounds), kg(5200), kg(7000))).toBe(suits);
});
