import { dueNow } from './dueNow';

const check = { dueOn: '2026-06-15', afterKm: 800, fromKm: 41_300 };

test.each([
  ['a fortnight away', '2026-06-01', null, 'later', 'day'],
  ['this week', '2026-06-10', null, 'thisWeek', 'day'],
  ['today', '2026-06-15', null, 'today', 'day'],
  ['gone by', '2026-06-16', null, 'overdue', 'day'],
  ['far off by the day, and driven far', '2026-06-01', 42_150, 'overdue', 'distance'],
  ['driven little', '2026-06-01', 41_900, 'later', 'day'],
] as const)('a check %s', (_, today, odometer, word, by) =>
  expect(dueNow(check, today, odometer)).toMatchObject({ word, by }),
);

test('without an odometer at the start the distance is not known, and never makes it due', () => {
  expect(dueNow({ ...check, fromKm: null }, '2026-06-01', 90_000)).toMatchObject({ word: 'later', leftKm: null });
  expect(dueNow(check, '2026-06-01', 41_900).leftKm).toBe(200);
});
