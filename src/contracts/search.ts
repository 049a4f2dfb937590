import { z } from 'zod';
import { SUBJECTS, type Subject } from './searchSubjects';

export const foundLineSchema = z.object({
  subject: z.enum(Object.keys(SUBJECTS) as [Subject, ...Subject[]]),
  id: z.uuid(),
  jobId: z.uuid().nullable(),
  vehicleId: z.uuid().nullable(),
  says: z.string(),
});
export type FoundLine = z.infer<typeof foundLineSchema>;

/** Something found that is no job. */
export interface FoundThing {
  subject: Subject;
  href: string;
  title: string;
  says: string;
}

/** What a search found besides the jobs of the Board. */
export interface Found {
  things: FoundThing[];
  /** Nothing holds the words themselves: what is told is only like them. */
  nearly: boolean;
}
