import { z } from 'zod';
import { ARRIVAL_SIZE_IDS } from '@/core/prepare/arrival';
import { typed, when } from './basics';
import { NEED_STATES } from './needStates';

const daySchema = z.iso.date();

/** How something on a job's list stands, and what it was when that was last said. Version 0 is the first word about it. */
export const neededEditSchema = z.object({
  id: z.uuid(),
  need: z.string().regex(/^[A-Za-z0-9.:-]{1,80}$/),
  what: z.string().trim().min(1, 'What is it?').max(200),
  wanted: z.number().int().min(1).max(999),
  state: z.enum(NEED_STATES),
  /** Whom or which shelf it comes from, and who sees to it. */
  source: z.string().trim().max(80),
  orders: z.string().trim().max(80),
  dueOn: daySchema.nullable(),
  /** Taken from the shop's own shelf. */
  shelfItemId: z.uuid().nullable(),
  version: z.number().int().min(0),
});
export type NeededEdit = z.infer<typeof neededEditSchema>;
export const neededPartSchema = neededEditSchema.extend({ person: z.string(), updatedAt: when });
export type NeededPart = z.infer<typeof neededPartSchema>;

/** One size of one piece, as it was read. */
export const arrivalSchema = z.object({
  id: z.uuid(),
  need: neededEditSchema.shape.need,
  piece: z.number().int().min(1).max(999),
  size: z.enum(ARRIVAL_SIZE_IDS),
  typed,
  /** mm; rad for an angle. */
  value: z.number(),
  person: z.string(),
  readAt: when,
});
export type ArrivalRow = z.infer<typeof arrivalSchema>;
export const newArrivalSchema = arrivalSchema.omit({ person: true, readAt: true });
export type NewArrival = z.infer<typeof newArrivalSchema>;

/** Something that takes days before the work. */
export const waitEditSchema = z
  .object({
    id: z.uuid(),
    what: z.string().trim().min(1, 'What takes the days?').max(80),
    days: z.number().int().min(0).max(400),
    afterWait: z.uuid().nullable(),
    done: z.boolean(),
    struck: z.boolean(),
    version: z.number().int().min(0),
  })
  .refine((w) => w.afterWait !== w.id, { error: 'It cannot wait for itself.', path: ['afterWait'] });
export type WaitEdit = z.infer<typeof waitEditSchema>;
export const waitSchema = z.object({ ...waitEditSchema.shape, person: z.string(), updatedAt: when });
export type WaitRow = z.infer<typeof waitSchema>;

/** How the job goes into the bay. */
export const baySchema = z.object({
  bayOn: daySchema.nullable(),
  rusty: z.boolean(),
  soakDays: z.number().int().min(0).max(60),
  /** Stands, or a hoist. */
  standId: z.uuid().nullable(),
  /** What was named is a hoist. */
  onHoist: z.boolean(),
  /** How many work on it; null while nobody said. */
  people: z.literal([1, 2]).nullable(),
  /** Nothing in eyes and pivots burns. */
  metalBushes: z.boolean(),
});
export type Bay = z.infer<typeof baySchema>;
export const newBaySchema = baySchema.omit({ onHoist: true }).extend({ id: z.uuid() });
export type NewBay = z.infer<typeof newBaySchema>;

/** On which days the shop does not work: days of the week, Sunday 0, and single dates. */
export const daysOffSchema = z.object({
  week: z.array(z.number().int().min(0).max(6)).max(6, 'One day of the week must be left to work on.'),
  on: z.array(daySchema).max(200),
});
export type DaysOff = z.infer<typeof daysOffSchema>;

/** A day on which an open job goes into the bay. */
export const bayDaySchema = z.object({ jobId: z.uuid(), vehicle: z.string(), bayOn: daySchema });
export type BayDay = z.infer<typeof bayDaySchema>;
