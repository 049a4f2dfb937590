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
