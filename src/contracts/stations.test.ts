import { currentStation } from './stations';

const none = { readings: 0, changes: 0, predictions: 0, built: false, outcomes: 0, outside: 0, closedAt: null };

test.each([
  [none, 'measure'],
  [{ ...none, readings: 4 }, 'measure'],
  [{ ...none, readings: 20, changes: 1 }, 'choose'],
  [{ ...none, readings: 20, changes: 1, predictions: 1 }, 'build'],
  [{ ...none, readings: 20, changes: 1, predictions: 1, built: true }, 'build'],
  [{ ...none, readings: 20, changes: 1, predictions: 1, built: true, outcomes: 1 }, 'prove'],
  [{ ...none, readings: 20, outcomes: 2, closedAt: '2026-11-30T10:00:00Z' }, 'follow'],
] as const)('a job with %j is worked on at %s', (progress, station) => {
  expect(currentStation(progress)).toBe(station);
});
