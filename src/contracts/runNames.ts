/** Sheets a run prints, one of each job. */
export const PAPERS = {
  card: 'build cards',
  torque: 'torque sheets',
  parts: 'parts and hardware',
  labels: 'labels',
  lift: 'lifting plans',
} as const;
export type Paper = keyof typeof PAPERS;
export const PAPER_JOBS = { planned: 'open jobs with a plan', closed: 'jobs closed in the last 90 days' } as const;

/** Files of one run at most. */
export const MOST_FILES = 40;

export type RunKind = 'again' | 'papers' | 'residuals' | 'bundles';

export const RUN_NAMES: Record<RunKind | 'fleet', string> = {
  again: 'predictions anew',
  papers: 'papers',
  residuals: 'where differences come from',
  bundles: 'jobs of other shops',
  fleet: 'sweep of the fleet',
};

/** What may come of a line, in words. */
export const RUN_VERDICTS: Record<string, string> = {
  same: 'the same',
  moves: 'would be another',
  cannot: 'cannot be solved',
  made: 'printed',
  came: 'taken in',
  refused: 'not taken in',
  usual: 'usual scatter',
  likely: 'one cause likely',
  several: 'several may be',
  lookAgain: 'nothing explains it',
};
