import { z } from 'zod';
import { id } from './basics';
import { type Batch, type FailedPiece } from './batch';
import { MOST_FILES, PAPERS, type Paper } from './runNames';

const paper = z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]]);

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
