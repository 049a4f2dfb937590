import { z } from 'zod';
import { LEG_NAMES } from '@/core/fastener/pattern';
import { typed, when } from './basics';
import { INCIDENT_KINDS } from './incidentKinds';
import { stepSchema } from './stepTick';

/** What went wrong or was found while the work was done. */
export const incidentSchema = z.object({
  id: z.uuid(),
  step: stepSchema.nullable(),
  kind: z.enum(INCIDENT_KINDS),
  what: z.string().trim().min(1, 'What was it?').max(160),
  /** Days the job loses by it. */
  days: z.number().int().min(1).max(60).nullable(),
  person: z.string(),
  happenedAt: when,
});
export type Incident = z.infer<typeof incidentSchema>;
export const newIncidentSchema = incidentSchema
  .omit({ person: true, happenedAt: true })
  .extend({ days: incidentSchema.shape.days.default(null) });
export type NewIncident = z.infer<typeof newIncidentSchema>;

/** What is read at one leg of a U-bolt, mm: thread beyond its nut, or the gap under the plate there. */
export const legThreadSchema = z.object({
  what: z.enum(['thread', 'gap']),
  leg: z.enum(LEG_NAMES as [string, ...string[]]),
  typed,
  value: z.number().min(0).max(300),
  person: z.string(),
  readAt: when,
});
export type LegThread = z.infer<typeof legThreadSchema>;
export const newLegThreadSchema = legThreadSchema
  .omit({ person: true, readAt: true })
  .extend({ id: z.uuid(), what: legThreadSchema.shape.what.default('thread') });
export type NewLegThread = z.infer<typeof newLegThreadSchema>;
