import { z } from 'zod';
import { id } from './basics';

/** Another job begun with what this one knows. */
export const copyJobSchema = z.object({
  id,
  complaint: z.string().trim().min(1, 'Say what is wrong.').max(500),
  to: z.discriminatedUnion('kind', [
    /** On the same vehicle, another year. */
    z.object({ kind: z.literal('next') }),
    /** On another vehicle made alike. */
    z.object({ kind: z.literal('sister'), name: z.string().trim().min(1, 'Give the vehicle a name.').max(120) }),
  ]),
});
export type CopyJob = z.infer<typeof copyJobSchema>;
