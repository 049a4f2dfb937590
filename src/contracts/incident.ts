import { z } from 'zod';
import { boltsOf } from '@/core/fastener/joints';
import { typed, when } from './basics';
import { INCIDENT_KINDS } from './incidentKinds';
import { stepSchema } from './stepTick';

/** What went wrong or was found while the work was done. */
export const incidentSchema = z.object({
  id: z.uuid(),
  step: stepSchema.nullable(),
  kind: z.enum(INCIDENT_KINDS),
  what: z.string().trim().min(1, 'What was it?').max(160),
  person: z.string(),
  happenedAt: when,
});
export type Incident = z.infer<typeof incidentSchema>;
export const newIncidentSchema = incidentSchema.omit({ person: true, happenedAt: true });
export type NewIncident = z.infer<typeof newIncidentSchema>;

/** Thread beyond the nut of one leg of a U-bolt, mm. */
export const legThreadSchema = z.object({
  leg: z.enum(boltsOf('uBolts') as [string, ...string[]]),
  typed,
  value: z.number().min(0).max(300),
  person: z.string(),
  readAt: when,
});
export type LegThread = z.infer<typeof legThreadSchema>;
export const newLegThreadSchema = legThreadSchema.omit({ person: true, readAt: true }).extend({ id: z.uuid() });
export type NewLegThread = z.infer<typeof newLegThreadSchema>;
