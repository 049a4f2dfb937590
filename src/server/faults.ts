import { ProblemError } from '@/contracts/problem';

const asked = (message: string) => new ProblemError(400, { code: 'bad-input', message });
const busy = (message: string, seconds: number) => new ProblemError(503, { code: 'busy', message }, seconds);

const CANNOT_BE = 'One of its figures or texts cannot be stored as it is: too large, too long or not of its kind.';
const GONE = 'It names something that is not there (any more).';

/** Whose fault an error of PostgreSQL is, by its class and code; SQLSTATE, appendix A of PostgreSQL's manual. */
const BY_CODE: Record<string, () => ProblemError> = {
  '23503': () => new ProblemError(404, { code: 'not-found', message: GONE }),
  '42501': () => new ProblemError(404, { code: 'not-found', message: GONE }),
  '23505': () => new ProblemError(409, { code: 'taken', message: 'That is there already. Reload the page.' }),
  '23502': () => asked(CANNOT_BE),
  '23514': () => asked(CANNOT_BE),
  '40001': () => busy('Somebody else saved at the same moment. Nothing of yours was saved; try again.', 1),
  '40P01': () => busy('Somebody else saved at the same moment. Nothing of yours was saved; try again.', 1),
  '57014': () => busy('That took too long and was given up. Nothing was saved; ask for less, or try again.', 5),
  '53300': () => busy('Too many are asking just now. Nothing was saved; try again.', 2),
  '53100': () =>
    busy('The server’s disk is full. Nothing was saved: tell who keeps this server to make room, then try again.', 60),
  '25006': () =>
    busy('The database only reads just now. Nothing was saved: tell who keeps this server, then try again.', 60),
};
/** Data exceptions: what was sent cannot be. */
const DATA = /^22/;

/** The problem to tell for anything that was thrown; undefined for what is the program's own fault, or the machine's. */
export function problemOf(error: unknown): ProblemError | undefined {
  if (error instanceof ProblemError) return error;
  if (!(error instanceof Error)) return undefined;
  const code = (error as { code?: unknown }).code;
  if (typeof code === 'string' && code.length === 5)
    return BY_CODE[code]?.() ?? (DATA.test(code) ? asked(CANNOT_BE) : undefined);
  // What the pool of connections says when all are taken.
  if (/timeout exceeded when trying to connect/.test(error.message))
    return busy('Too many are asking just now. Nothing was saved; try again.', 2);
  return undefined;
}
