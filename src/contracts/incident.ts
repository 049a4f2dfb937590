import { z } from 'zod';
import { boltsOf } from '@/core/fastener/joints';
import { typed, when } from './basics';
import { stepSchema } from './stepTick';

export const INCIDENT_KINDS = ['seized', 'snapped', 'wrongPart', 'brokenTool', 'found'] as const;
export type IncidentKind = (typeof INCIDENT_KINDS)[number];
export const INCIDENT_NAMES: Record<IncidentKind, string> = {
  seized: 'seized',
  snapped: 'snapped',
  wrongPart: 'wrong part',
  brokenTool: 'tool broken',
  found: 'found by the way',
};
/** After these something new is wanted. */
export const WANTS_PART: readonly IncidentKind[] = ['seized', 'snapped', 'wrongPart'];

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
