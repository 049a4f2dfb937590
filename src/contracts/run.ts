import { z } from 'zod';
import { id } from './basics';
import { type Batch, type FailedPiece } from './batch';

/** Sheets a run prints, one of each job. */
export const PAPERS = {
  card: 'build cards',
  torque: 'torque sheets',
  parts: 'parts and hardware',
  labels: 'labels',
  lift: 'lifting plans',
} as const;
export type Paper = keyof typeof PAPERS;
const paper = z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]]);

export const PAPER_JOBS = { planned: 'open jobs with a plan', closed: 'jobs closed in the last 90 days' } as const;

/** Files of one run at most. */
export const MOST_FILES = 40;

/** What may be run over many jobs at once, besides sweeps of the fleet. */
export const newRunSchema = z.discriminatedUnion('kind', [
  /** Predictions solved once more by the core as it is now. */
  z.object({ id: z.uuid(), kind: z.literal('again'), which: z.enum(['earlier', 'all']) }),
  z.object({ id: z.uuid(), kind: z.literal('papers'), what: paper, of: z.enum(['planned', 'closed']) }),
  /** Where the heights that were read after the work may come from. */
  z.object({ id: z.uuid(), kind: z.literal('residuals') }),
]);
export type NewRun = z.infer<typeof newRunSchema>;
/** Jobs of other shops, whose files were sent before. */
export const newImportSchema = z.object({ id: z.uuid(), files: z.array(z.uuid()).min(1).max(MOST_FILES) });
export type NewImport = z.infer<typeof newImportSchema>;
export type RunKind = NewRun['kind'] | 'bundles';

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

export const runLineSchema = z.object({
  of: z.uuid(),
  jobAxleId: id.nullable(),
  vehicle: z.string().nullable(),
  verdict: z.string(),
  was: z.number().nullable(),
  now: z.number().nullable(),
  half90: z.number().nullable(),
  says: z.string(),
});
export type RunLine = z.infer<typeof runLineSchema>;

/** A run with what it found so far. */
export interface Run {
  batch: Batch;
  counts: { verdict: string; says: string | null; lines: number }[];
  /** What matters first, so many at the most. */
  lines: RunLine[];
  failed: FailedPiece[];
  /** Files that were made. */
  files: number;
}

/** A piece of any run that came to nothing. */
export const deadSchema = z.object({
  batch: z.uuid(),
  kind: z.string(),
  name: z.string(),
  problem: z.string(),
  pieces: z.number(),
});
export type Dead = z.infer<typeof deadSchema>;
