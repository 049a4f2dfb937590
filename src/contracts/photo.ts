import { z } from 'zod';
import { id, when } from './basics';

export const photoSchema = z.object({
  id,
  /** What it shows: `rule|side` of the inspection or a field of the measuring sheet. */
  subject: z.string(),
  caption: z.string(),
  width: z.number(),
  height: z.number(),
  sha256: z.string(),
  person: z.string(),
  takenAt: when,
});

export type PhotoRow = z.infer<typeof photoSchema>;
