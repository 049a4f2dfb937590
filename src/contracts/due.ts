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
