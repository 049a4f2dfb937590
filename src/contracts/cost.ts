import { z } from 'zod';
import { typed } from './basics';

const money = z.number().min(0).max(1e7);
const minutes = z.number().min(0).max(100_000);
const range = (of: z.ZodNumber) =>
  z.object({ low: of, high: of }).refine((r) => r.low <= r.high, 'A range goes from the lower to the higher figure.');

/** One line of a job's costs as it is saved; version 0 is a new one. */
export const costEditSchema = z
  .object({
    id: z.uuid(),
    what: z.string().trim().min(1, 'What is it?').max(160),
    count: z.number().int().min(1).max(9999),
    condition: z.enum(['new', 'used']),
    planned: range(money).nullable(),
    plannedTyped: typed.nullable(),
    actual: money.nullable(),
    minutes: range(minutes).nullable(),
    minutesTyped: typed.nullable(),
    actualMinutes: minutes.nullable(),
    excluded: z.boolean(),
    partId: z.uuid().nullable(),
    version: z.number().int().min(0),
  })
  .refine((c) => (c.planned === null) === (c.plannedTyped === null), {
    error: 'A price needs its text.',
    path: ['planned'],
  })
  .refine((c) => (c.minutes === null) === (c.minutesTyped === null), {
    error: 'A time needs its text.',
    path: ['minutes'],
  });
export type CostEdit = z.infer<typeof costEditSchema>;

export const costLineSchema = z.object({
  ...costEditSchema.shape,
  person: z.string(),
  updatedAt: z.coerce.date().transform((d) => d.toISOString()),
});
export type CostRow = z.infer<typeof costLineSchema>;
