import { z } from 'zod';

/** The one error shape of every route. */
export const problemSchema = z.object({
  code: z.string(),
  message: z.string(),
  field: z.string().optional(),
  detail: z.unknown().optional(),
  /** Id of the request, as it stands in the server's log. */
  request: z.string().optional(),
});
export type Problem = z.infer<typeof problemSchema>;

/** A problem on its way to the client, with its HTTP status. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
    /** When it is worth trying again, s. */
    readonly retryAfter?: number,
  ) {
    super(problem.message);
    this.name = 'ProblemError';
  }
}

export const notFound = (what: string): ProblemError =>
  new ProblemError(404, { code: 'not-found', message: `${what} does not exist (any more).` });

/** An id that was used before for something else: what was sent now is not stored, and nobody may think so. */
export const taken = (): ProblemError =>
  new ProblemError(409, {
    code: 'taken',
    message: 'Something else was saved under this id before; this was not saved. Reload the page and enter it anew.',
  });

/** Who changed it, when, and what stands there now. */
export const conflictSchema = z.object({
  theirs: z.string(),
  by: z.string(),
  at: z.string(),
  version: z.union([z.number(), z.string()]),
});
export type Conflict = z.infer<typeof conflictSchema>;

export const conflict = (field: string, detail: Conflict): ProblemError =>
  new ProblemError(409, {
    code: 'conflict',
    message: `${detail.by} has saved “${detail.theirs}” here in the meantime.`,
    field,
    detail,
  });
