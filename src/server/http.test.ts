import { jest } from '@jest/globals';
import { z } from 'zod';
import { conflict, ProblemError } from '@/contracts/problem';
import { type Need, type Role } from '@/contracts/roles';
import { FRESH, requireStanding } from './door/who';
import { idRoute, openRoute } from './http';

const schema = z.object({ height: z.number().min(0, 'A height is not negative.') });
const post = (body: string, cookie = '') =>
  new Request('http://127.0.0.1/api', { method: 'POST', body, headers: { cookie } });

const open = (request: Request, fn: (body: z.output<typeof schema>) => Promise<object>) =>
  openRoute(schema, (_, body) => fn(body))(request);

async function answered(response: Response): Promise<[number, Record<string, unknown>]> {
  return [response.status, (await response.json()) as Record<string, unknown>];
}

test('a body that fits reaches the use case and its answer comes back, never cached', async () => {
  const response = await open(post('{"height":12}'), async ({ height }) => ({ twice: 2 * height }));
  expect(response.headers.get('cache-control')).toBe('no-store');
  expect(await answered(response)).toEqual([200, { twice: 24 }]);
});

test('a route of the shop refuses nobody in particular before it reads anything, whatever is claimed', async () => {
  const who = '5a1e0000-0000-4000-8000-0000000000a2';
  for (const cookie of ['', `gravelwort-person=${who}`, `gravelwort-session=${'x'.repeat(101)}`, 'gravelwort-session='])
    for (const id of [who, '1', '../etc', "' OR 1=1 --"]) {
      const route = idRoute('note', schema, async () => {
        throw new ProblemError(500, { code: 'reached', message: 'the use case ran' });
      });
      const response = await route(post('not json', cookie), { params: Promise.resolve({ id }) });
      expect(await answered(response)).toMatchObject([401, { code: 'sign-in' }]);
    }
});

test.each<[Role, Need, number, string | null]>([
  ['apprentice', 'note', 0, null],
  ['apprentice', 'work', 0, 'not-yours'],
  ['apprentice', 'vouch', 0, 'not-yours'],
  ['mechanic', 'vouch', 0, null],
  ['mechanic', 'vouch', FRESH + 1, 'ask-again'],
  ['mechanic', 'own', 0, 'not-yours'],
  ['owner', 'own', 0, null],
  ['owner', 'own', FRESH + 1, 'ask-again'],
])('%s may %s, shown %d s ago: %s', (role, need, asked, code) => {
  const who = { shop: '', person: '', session: '', tablet: null, role, asked, given: false };
  const tried = () => requireStanding(who, need as Exclude<Need, 'open'>);
  if (code === null) expect(tried).not.toThrow();
  else expect(tried).toThrow(expect.objectContaining({ problem: expect.objectContaining({ code }) }));
  // A password that was told by somebody else opens nothing but looking.
  if (code === null)
    expect(() => requireStanding({ ...who, given: true }, need as Exclude<Need, 'open'>)).toThrow(
      /choose one of your own/,
    );
});

test.each([
  ['not json', 400, { code: 'bad-json' }],
  ['{"height":-3}', 400, { code: 'bad-input', field: 'height', message: 'A height is not negative.' }],
  ['{}', 400, { code: 'bad-input', field: 'height' }],
  [`{"height":1,"x":"${'y'.repeat(200_001)}"}`, 413, { code: 'too-large' }],
])('a body that does not fit gets a clear problem (%#)', async (body, status, problem) => {
  const [code, answer] = await answered(await open(post(body), async () => ({ never: true })));
  expect(code).toBe(status);
  expect(answer).toMatchObject(problem);
});

test('a named problem keeps its status, field and detail', async () => {
  const there = { theirs: '41 mm', by: 'Tibb', at: '2026-01-01T00:00:00.000Z', version: 3 };
  const response = await open(post('{"height":1}'), async () => {
    throw conflict('height', there);
  });
  expect(await answered(response)).toEqual([
    409,
    { code: 'conflict', field: 'height', detail: there, message: 'Tibb has saved “41 mm” here in the meantime.' },
  ]);
});

test('an unnamed failure tells nothing about the machine and says that nothing was saved', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const response = await open(post('{"height":1}'), async () => {
    throw new Error('password=secret at 10.0.0.1');
  });
  const [status, answer] = await answered(response);
  expect(status).toBe(503);
  expect(JSON.stringify(answer)).not.toContain('secret');
  expect(answer.message).toContain('Nothing was saved');
  quiet.mockRestore();
});
