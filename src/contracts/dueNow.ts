import { type DueRow } from './due';

export const DUE_WORDS = ['overdue', 'today', 'thisWeek', 'later'] as const;
export type DueWord = (typeof DUE_WORDS)[number];

/** Days of the calendar between two dates, YYYY-MM-DD. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 864e5);

/** How due a check is, and by what: the day, or the distance driven since it was set. */
export function dueNow(
  check: Pick<DueRow, 'dueOn' | 'afterKm' | 'fromKm'>,
  today: string,
  odometer: number | null,
): { word: DueWord; by: 'day' | 'distance'; days: number; leftKm: number | null } {
  const days = daysBetween(today, check.dueOn);
  const leftKm = check.fromKm === null || odometer === null ? null : check.fromKm + check.afterKm - odometer;
  if (leftKm !== null && leftKm <= 0) return { word: 'overdue', by: 'distance', days, leftKm };
  const word = days < 0 ? 'overdue' : days === 0 ? 'today' : days <= 7 ? 'thisWeek' : 'later';
  return { word, by: 'day', days, leftKm };
}
