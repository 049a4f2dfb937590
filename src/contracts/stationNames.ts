/** The stations of a job, in working order. */
export const STATIONS = [
  { id: 'ask', name: 'Ask', number: 1 },
  { id: 'measure', name: 'Measure', number: 2 },
  { id: 'inspect', name: 'Inspect', number: 3 },
  { id: 'choose', name: 'Choose', number: 4 },
  { id: 'check', name: 'Check', number: 5 },
  { id: 'prepare', name: 'Prepare', number: 6 },
  { id: 'build', name: 'Build', number: 7 },
  { id: 'prove', name: 'Prove', number: 8 },
  { id: 'follow', name: 'Follow', number: 9 },
] as const;
export type StationId = (typeof STATIONS)[number]['id'];
