import { failureHistory } from './failures';

// Common practice: four breaks in 70,000 km are one in 17,500 km.
const breaks = [12_000, 31_000, 52_000, 70_000].map((km, i) => ({
  km,
  place: i === 1 ? 'front left eye' : 'Rear left, leaf 2',
}));

test('rate over the distance written down, and the place that failed again', () => {
  expect(failureHistory(breaks, 0, 70_000)).toEqual({
    count: 4,
    kmPerFailure: 17_500,
    repeated: [{ place: 'Rear left, leaf 2', times: 3 }],
  });
});
test('one place in two spellings is one place; what lies outside the distance is not counted', () => {
  const two = [
    { km: 5, place: 'rear  left, leaf 2' },
    { km: 9, place: 'Rear left, Leaf 2 ' },
    { km: 900, place: 'rear left, leaf 2' },
  ];
  expect(failureHistory(two, 0, 100).repeated).toEqual([{ place: 'rear  left, leaf 2', times: 2 }]);
  expect(failureHistory([], 0, 100)).toEqual({ count: 0, kmPerFailure: null, repeated: [] });
});
