import { z } from 'zod';
import { id, sideSchema, when } from './basics';

export const buildSchema = z.object({
  predictionId: id.nullable(),
  overrideReason: z.string().nullable(),
  person: z.string(),
  startedAt: when,
});

export const outcomeSchema = z.object({
  readingId: id,
  predictionId: id,
  /** Which point was read before and after. */
  point: z.enum(['hubToLip', 'groundToLip']),
  side: sideSchema,
  stateId: id,
  measured: z.number(),
  predicted: z.number(),
  half90: z.number(),
  inside: z.boolean(),
  /** What was added to the tape's figure for a tank filled otherwise, mm. */
  convertedBy: z.number(),
  takenAt: when,
});

export type Outcome = z.infer<typeof outcomeSchema>;

export const newBuildSchema = z.object({ overrideReason: z.string().trim().min(5).max(500).nullable() });
