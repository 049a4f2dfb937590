import { z } from 'zod';

/** What a found line is of, as it is called on the screen. */
export const SUBJECTS = {
  vehicle: 'vehicle',
  owner: 'owner',
  job: 'complaint',
  finding: 'finding',
  planned: 'planned',
  needed: 'part to get',
  defect: 'open defect',
  incident: 'went wrong',
  picture: 'picture',
  besides: 'seen besides',
  lesson: 'learnt',
  broken: 'broke',
  tool: 'tool',
  part: 'part',
} as const;
export type Subject = keyof typeof SUBJECTS;

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
