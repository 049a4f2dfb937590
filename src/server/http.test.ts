import { jest } from '@jest/globals';
import { z } from 'zod';
import { conflict, ProblemError } from '@/contracts/problem';
import { idRoute, respond } from './http';

const schema = z.object({ height: z.number().min(0, 'A height is not negative.') });
const post = (body: string, cookie = '') =>
  new Request('http://127.0.0.1/api', { method: 'POST', body, headers: { cookie } });

async function answered(response: Response): Promise<[number, Record<string, unknown>]> {
  return [response.status, (await response.json()) as Record<string, unknown>];
}

test('a body that fits reaches the use case and its answer comes back, never cached', async () => {
  const response = await respond(post('{"height":12}'), schema, async ({ height }) => ({ twice: 2 * height }));
  expect(response.headers.get('cache-control')).toBe('no-store');
  expect(await answered(response)).toEqual([200, { twice: 24 }]);
});

test('the person comes from the cookie when it is an id, else it is the demo’s first one', async () => {
  const id = '5a1e0000-0000-4000-8000-0000000000a2';
  const who = (cookie: string) => respond(post('{"height":1}', cookie), schema, async (_, person) => ({ person }));
  expect(await answered(await who(`a=b; gravelwort-person=${id}`))).toEqual([200, { person: id }]);
  for (const cookie of ['', "gravelwort-person=' OR 1=1", 'gravelwort-person='])
    expect((await answered(await who(cookie)))[1].person).toBe('5a1e0000-0000-4000-8000-0000000000a1');
});

test.each([
  ['not json', 400, { code: 'bad-json' }],
  ['{"height":-3}', 400, { code: 'bad-input', field: 'height', message: 'A height is not negative.' }],
  ['{}', 400, { code: 'bad-input', field: 'height' }],
  [`{"height":1,"x":"${'y'.repeat(200_001)}"}`, 413, { code: 'too-large' }],
])('a body that does not fit gets a clear problem (%#)', async (body, status, problem) => {
  const [code, answer] = await answered(await respond(post(body), schema, async () => 'never'));
  expect(code).toBe(status);
  expect(answer).toMatchObject(problem);
});

test('a named problem keeps its status, field and detail', async () => {
  const there = { theirs: '41 mm', by: 'Tibb', at: '2026-01-01T00:00:00.000Z', version: 3 };
  const response = await respond(post('{"height":1}'), schema, async () => {
    throw conflict('height', there);
  });
  expect(await answered(response)).toEqual([
    409,
    { code: 'conflict', field: 'height', detail: there, message: 'Tibb has saved “41 mm” here in the meantime.' },
  ]);
});

test('an unnamed failure tells nothing about the machine and says that nothing was saved', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const response = await respond(post('{"height":1}'), schema, async () => {
    throw new Error('password=secret at 10.0.0.1');
  });
  const [status, answer] = await answered(response);
  expect(status).toBe(503);
  expect(JSON.stringify(answer)).not.toContain('secret');
  expect(answer.message).toContain('Nothing was saved');
  quiet.mockRestore();
});

test('an id that is none never reaches the database', async () => {
  const route = idRoute(schema, async () => {
    throw new ProblemError(500, { code: 'reached', message: 'the use case ran' });
  });
  for (const id of ['1', '../etc', "' OR 1=1 --", '5a1e0000-0000-4000-8000-0000000000AZ']) {
    const response = await route(post('{"height":1}'), { params: Promise.resolve({ id }) });
    expect(await answered(response)).toMatchObject([404, { code: 'not-found' }]);
  }
});
