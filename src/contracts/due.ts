import { z } from 'zod';
import { when, typed } from './basics';

/** A check that falls due by day or by distance driven since, whichever comes first. */
export const dueSchema = z.object({
  id: z.uuid(),
  what: z.string(),
  reads: z.enum(['torque', 'heights', 'look']),
  /** Whose word the interval is; empty for common practice. */
  source: z.string(),
  afterKm: z.number(),
  /** Odometer when it was set, km; null when nobody read it. */
  fromKm: z.number().nullable(),
  dueOn: z.string(),
  doneAt: when.nullable(),
  doneBy: z.string().nullable(),
  figures: z.string(),
});
export type DueRow = z.infer<typeof dueSchema>;

/** A tick with its figures, or taking it back. */
export const tickSchema = z.discriminatedUnion('done', [
  z.object({
    id: z.uuid(),
    done: z.literal(true),
    figures: z.string().trim().max(300),
    /** Odometer, where it was read. */
    km: z.number().min(0).max(1e7).nullable().default(null),
    kmTyped: typed.nullable().default(null),
  }),
  z.object({ id: z.uuid(), done: z.literal(false) }),
]);
export type Tick = z.infer<typeof tickSchema>;

export const odometerSchema = z.object({ km: z.number(), typed: z.string(), readAt: when });
export const newOdometerSchema = z.object({ id: z.uuid(), km: z.number().min(0).max(1e7), typed });

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
