import { z } from 'zod';
import { id, typed, when } from './basics';

export const sideFindingSchema = z.object({
  id,
  what: z.string(),
  urgency: z.enum(['now', 'soon', 'nextVisit']),
  person: z.string(),
  foundAt: when,
  doneAt: when.nullable(),
  evidence: z.string().nullable(),
});

export type SideFinding = z.infer<typeof sideFindingSchema>;

export const failureSchema = z.object({
  id,
  place: z.string(),
  km: z.number(),
  kmTyped: z.string(),
  cause: z.string(),
  person: z.string(),
  writtenAt: when,
});

export const newSideFindingSchema = z.object({
  id,
  what: z.string().trim().min(1, 'Say what was found.').max(300),
  urgency: z.enum(['now', 'soon', 'nextVisit']),
});

export const closeSideFindingSchema = z.object({
  evidence: z.string().trim().min(3, 'Say what was done, in a few words.').max(300),
});

export const newFailureSchema = z.object({
  id,
  place: z.string().trim().min(1, 'Say where it broke.').max(120),
  km: z.number().min(0).max(1e7),
  kmTyped: typed,
  cause: z.string().trim().max(300),
});
