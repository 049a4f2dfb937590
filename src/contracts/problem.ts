/** The one error shape of every route. */
export interface Problem {
  code: string;
  message: string;
  field?: string | undefined;
  detail?: unknown;
  /** Id of the request, as it stands in the server's log. */
  request?: string | undefined;
}

const fieldsOf = (said: unknown): Record<string, unknown> =>
  typeof said === 'object' && said !== null ? (said as Record<string, unknown>) : {};

/** What a server answered, as far as it is of this shape: whatever stands between may answer with anything. */
export function problemOf(answer: unknown): Problem | undefined {
  const { code, message, field, detail, request } = fieldsOf(answer);
  if (typeof code !== 'string' || typeof message !== 'string') return undefined;
  const text = (said: unknown) => (typeof said === 'string' ? said : undefined);
  return { code, message, field: text(field), detail, request: text(request) };
}

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
export interface Conflict {
  theirs: string;
  by: string;
  at: string;
  version: number | string;
}
export function conflictOf(detail: unknown): Conflict | undefined {
  const { theirs, by, at, version } = fieldsOf(detail);
  return typeof theirs === 'string' &&
    typeof by === 'string' &&
    typeof at === 'string' &&
    (typeof version === 'number' || typeof version === 'string')
    ? { theirs, by, at, version }
    : undefined;
}

export const conflict = (field: string, detail: Conflict): ProblemError =>
  new ProblemError(409, {
    code: 'conflict',
    message: `${detail.by} has saved “${detail.theirs}” here in the meantime.`,
    field,
    detail,
  });
