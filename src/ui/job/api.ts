import { conflictSchema, problemSchema, type Problem } from '@/contracts/problem';
import { askAtDoor, LIFTED_AT_DOOR } from '../door/ask';
import { ApiProblem } from './ApiProblem';

const json = (body: unknown) => ({
  headers: { 'Content-Type': 'application/json' },
  ...(body === undefined ? {} : { body: JSON.stringify(body) }),
});

/** Calls a route; every failure becomes an ApiProblem with words a person can act on. */
export const call = <T>(
  path: string,
  method: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE',
  body?: unknown,
): Promise<T> =>
  // A form brings its own type, with the line between its parts.
  send<T>(path, { method, ...(body instanceof FormData ? { body } : json(body)) });

/** Sends a file's text as it is. */
export const callText = <T>(path: string, text: string): Promise<T> =>
  send<T>(path, { method: 'POST', headers: { 'Content-Type': 'text/csv' }, body: text });

const SAVES = ['POST', 'PUT', 'PATCH', 'DELETE'];
/** A save that hangs is given up, so that the ones behind it go on; a prediction is solved anew on the server and takes longest, ms. */
const LONGEST_SAVE = 45_000;
const LONGEST_READ = 20_000;
/** A save this small, bytes, goes on when the page is left before it is answered. Browsers keep 64 KiB in all: thirty of them. */
const KEPT = 2000;

async function send<T>(path: string, init: RequestInit, again = false): Promise<T> {
  let response: Response;
  try {
    const saves = SAVES.includes(init.method ?? '');
    response = await fetch(path, {
      ...init,
      keepalive: saves && typeof init.body === 'string' && init.body.length < KEPT,
      signal: AbortSignal.timeout(saves ? LONGEST_SAVE : LONGEST_READ),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'TimeoutError')
      throw new ApiProblem({
        code: 'slow',
        message: 'The server took too long to answer. What you typed is kept here; try again.',
      });
    throw new ApiProblem({
      code: 'offline',
      message: 'The server does not answer. What you typed is kept here; try again when it is back.',
    });
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  const problem: Problem = problemSchema.safeParse(answer).data ?? {
    code: 'server',
    message: `The server answered ${response.status}.`,
  };
  // Who may not, or is not known any more, is asked for over the page; then the same is sent once more.
  if (!again && LIFTED_AT_DOOR.includes(problem.code) && (await askAtDoor(problem.message)))
    return send<T>(path, init, true);
  throw new ApiProblem(
    problem,
    problem.code === 'conflict' ? conflictSchema.safeParse(problem.detail).data : undefined,
  );
}
