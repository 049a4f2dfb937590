import { z } from 'zod';
import { id, sideSchema, typed, when } from './basics';

/** A height read again while a spring settles. */
export const settlingHeightSchema = z.object({
  id,
  point: z.enum(['hubToLip', 'groundToLip']),
  side: sideSchema,
  stateId: id,
  typed: z.string(),
  value: z.number(),
  km: z.number(),
  kmTyped: z.string(),
  person: z.string(),
  readAt: when,
});
export type SettlingHeight = z.infer<typeof settlingHeightSchema>;

export const newSettlingHeightSchema = z.object({
  id,
  point: z.enum(['hubToLip', 'groundToLip']),
  side: sideSchema,
  stateId: id,
  typed,
  value: z.number().min(1).max(5000),
  km: z.number().min(0).max(1e7),
  kmTyped: typed,
});
export type NewSettlingHeight = z.infer<typeof newSettlingHeightSchema>;

/** A check of a maker's sheet or a person's own, once or several times. */
export const newChecksSchema = z.object({
  /** One for each distance. */
  ids: z.array(id).min(1).max(4),
  what: z.string().trim().min(3, 'Say what is looked at.').max(160),
  reads: z.enum(['torque', 'heights', 'look']),
  /** The interval as it was said, and which of its meanings was chosen, km from today. */
  interval: z.string().trim().min(1, 'Say after which distance.').max(80),
  km: z.array(z.number().min(1).max(300_000)).min(1).max(4),
  source: z.string().trim().max(80).default(''),
});
export type NewChecks = z.infer<typeof newChecksSchema>;
