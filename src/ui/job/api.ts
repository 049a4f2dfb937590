import { conflictOf, problemOf, type Problem } from '@/contracts/problem';
import { liftRefusal, shownSoFar } from '../door/ask';
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
  // A form brings its own type, with the line between its parts; so does a file.
  send(path, { method, ...(body instanceof FormData || body instanceof Blob ? { body } : json(body)) }).then(
    async (response) => (await response.json().catch(() => null)) as T,
  );

const NAMED = /filename="([^"]+)"/;

/** Asks for a file that is made of what is sent. */
export async function callForFile(path: string, body: unknown): Promise<{ name: string; blob: Blob }> {
  const response = await send(path, { method: 'POST', ...json(body) });
  const name = NAMED.exec(response.headers.get('Content-Disposition') ?? '')?.[1] ?? 'gravelwort';
  return { name, blob: await response.blob() };
}

/** A line of a long answer: how far it is, what came of it, or what was wrong. */
interface Line<T> {
  done?: number;
  of?: number;
  report?: T;
  problem?: Problem;
}

/** Sends a file's text as it is, and tells how far the server is with it until it is done or `stop` says otherwise. */
export async function callText<T>(
  path: string,
  text: string,
  onProgress: (done: number, of: number) => void,
  stop: AbortSignal,
  again = false,
): Promise<T> {
  const since = shownSoFar();
  const headers = { 'Content-Type': 'text/csv', Accept: 'application/x-ndjson' };
  const lost = new ApiProblem({
    code: 'offline',
    message: 'The server does not answer. Look at the shelf when it is back whether the parts are there.',
  });
  const response = await fetch(path, { method: 'POST', headers, body: text, signal: stop }).catch(() => {
    throw stop.aborted ? STOPPED() : lost;
  });
  if (!response.ok || !response.body) {
    const problem = await problemIn(response);
    if (!again && (await liftRefusal(problem, since))) return callText<T>(path, text, onProgress, stop, true);
    throw new ApiProblem(problem);
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw stop.aborted ? STOPPED() : lost;
    });
    const lines = (rest + (value ?? '')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      const said = JSON.parse(line) as Line<T>;
      if (said.problem) throw new ApiProblem(said.problem);
      if (said.report !== undefined) return said.report;
      onProgress(said.done ?? 0, said.of ?? 0);
    }
    if (done) throw lost;
  }
}
const STOPPED = () => new ApiProblem({ code: 'stopped', message: 'Stopped. Nothing was brought in.' });

const SAVES = ['POST', 'PUT', 'PATCH', 'DELETE'];
/** A save that hangs is given up, so that the ones behind it go on; a prediction is solved anew on the server and takes longest, ms. */
const LONGEST_SAVE = 45_000;
const LONGEST_READ = 20_000;
/** A save this small, bytes, goes on when the page is left before it is answered. Browsers keep 64 KiB in all: thirty of them. */
const KEPT = 2000;

async function send(path: string, init: RequestInit, again = false): Promise<Response> {
  const since = shownSoFar();
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
  if (response.ok) return response;
  const problem = await problemIn(response);
  // Who may not, or is not known any more, is asked for over the page; then the same is sent once more.
  if (!again && (await liftRefusal(problem, since))) return send(path, init, true);
  throw new ApiProblem(problem, problem.code === 'conflict' ? conflictOf(problem.detail) : undefined);
}

/** What a refusal or failure says, in the one error shape. */
async function problemIn(response: Response): Promise<Problem> {
  const answer: unknown = await response.json().catch(() => null);
  return problemOf(answer) ?? { code: 'server', message: `The server answered ${response.status}.` };
}
