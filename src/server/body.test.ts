import { z } from 'zod';
import { type ProblemError } from '@/contracts/problem';
import { plainText, readJson, readText } from './body';
import { problemOf } from './faults';

const schema = z.object({ name: z.string(), more: z.array(z.string()).default([]) });
const post = (body: BodyInit, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1/api', { method: 'POST', body, headers, duplex: 'half' } as RequestInit);
const refusal = (asked: Promise<unknown>) =>
  asked.then(() => 'taken').catch((e: ProblemError) => [e.status, e.problem.code]);

/** A body without a length that never ends; tells how much of it was taken. */
function endless() {
  let sent = 0;
  const stream = new ReadableStream<Uint8Array>({
    pull(to) {
      sent += 65_536;
      to.enqueue(new Uint8Array(65_536).fill(97));
    },
  });
  return { stream, sent: () => sent };
}

test('a body is refused while it comes, not once all of it is there', async () => {
  const { stream, sent } = endless();
  expect(await refusal(readText(post(stream), 200_000))).toEqual([413, 'too-large']);
  expect(sent()).toBeLessThan(1_000_000);
  expect(await readText(post('é'.repeat(99_999)), 200_000)).toHaveLength(99_999);
  expect(await refusal(readText(post(new Uint8Array([0x7b, 0xff, 0xfe]))))).toEqual([400, 'bad-text']);
});

test.each([
  ['a NUL', '\\u0000'],
  ['half a character', '\\ud800'],
  ['a direction mark', '\\u202e'],
  ['an escape of a terminal', '\\u001b[2J'],
])('%s in any text is refused before it reaches anything', async (_, bad) => {
  expect(await refusal(readJson(post(`{"name":"x${bad}"}`), schema))).toEqual([400, 'bad-text']);
  expect(await refusal(readJson(post(`{"name":"x","more":["y${bad}"]}`), schema))).toEqual([400, 'bad-text']);
});

test('what takes no room is left out, so that two names that read alike are one; lines, tabs and other scripts stay', async () => {
  expect((await readJson(post('{"name":"Kor\u200bvild\ufeff"}'), schema)).name).toBe('Korvild');
  const typed = 'Æblehaven\t3/8 in\nשלום 𝛑';
  expect(plainText(typed)).toBe(typed);
});

test.each([
  ['22021', 400],
  ['22003', 400],
  ['23514', 400],
  ['23503', 404],
  ['23505', 409],
  ['40001', 503],
  ['57014', 503],
  ['53100', 503],
])('PostgreSQL’s %s is told as %d', (code, status) => {
  expect(problemOf(Object.assign(new Error('x'), { code }))?.status).toBe(status);
});

test('what is nobody’s but the program’s stays unnamed; all connections taken says when to come back', () => {
  for (const error of [new Error('x'), Object.assign(new Error('x'), { code: 'ECONNREFUSED' }), 'thrown text'])
    expect(problemOf(error)).toBeUndefined();
  expect(problemOf(new Error('timeout exceeded when trying to connect'))).toMatchObject({ status: 503, retryAfter: 2 });
});
