import { z } from 'zod';
import { when } from './basics';

/** How far work in pieces is. */
export const batchSchema = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  person: z.string(),
  askedAt: when,
  cancelledAt: when.nullable(),
  pieces: z.number(),
  done: z.number(),
  failed: z.number(),
  /** When its last piece was stored; null while none is. */
  lastAt: when.nullable(),
});
export type Batch = z.infer<typeof batchSchema>;

/** Pieces that came to nothing after every try, and why. */
export const failedPieceSchema = z.object({ nth: z.number(), problem: z.string(), of: z.number() });
export type FailedPiece = z.infer<typeof failedPieceSchema>;

export const actSchema = z.object({ act: z.enum(['stop', 'again']) });
