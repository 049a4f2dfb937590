import { type z } from 'zod';
import { type Operation } from '@/contracts/program';
import { ProblemError } from '@/contracts/problem';
import { atDoor, enterShop, withShop, type Tx } from '@/data/client';
import { insertAudit, standing } from '@/data/door';
import { programOf, sawProgram } from '@/data/program';
import { checkedJson, readJson } from '../body';
import { mayDo } from '../door/who';
import { tokenHash } from '../door/secrets';
import { answer, served } from '../http';

const BEARER = /^Bearer ([A-Za-z0-9_-]{20,100})$/;
const refused = (status: number, code: string, message: string) => new ProblemError(status, { code, message });

/** The program behind a token, and its shop. @throws ProblemError 401 for none, 403 for one that may not */
async function programAt(request: Request, { scope, method }: Operation) {
  const token = BEARER.exec(request.headers.get('authorization') ?? '')?.[1];
  if (!token) throw refused(401, 'no-token', 'A program brings its token: Authorization: Bearer …');
  return atDoor(tokenHash(token), async (tx) => {
    const found = await programOf(tx);
    if (!found) throw refused(401, 'no-token', 'This token opens nothing (any more).');
    await enterShop(tx, found.shop);
    // It acts for whoever made it, as long as they are of the shop.
    const stands = await standing(tx, found.person);
    if (!stands || !mayDo(stands.role, method === 'GET' ? 'read' : 'note'))
      throw refused(401, 'no-token', 'Whoever made this token is not of the shop any more.');
    if (!found.scopes.includes(scope))
      throw refused(403, 'not-yours', `This token may not do that: it lacks “${scope}”.`);
    if (found.stale) await sawProgram(tx, found.id);
    return found;
  });
}

export interface Asked<O extends Operation> {
  /** What stands in the address. */
  id: string;
  query: O['query'] extends z.ZodType ? z.output<O['query']> : undefined;
  body: O['body'] extends z.ZodType ? z.output<O['body']> : undefined;
}

/** One operation of the list, in one transaction of the token's shop; what it answers is what the document says. */
export const programRoute =
  <O extends Operation>(operation: O, fn: (tx: Tx, asked: Asked<O>) => Promise<unknown>) =>
  (request: Request, context: { params?: Promise<Record<string, string>> } = {}): Promise<Response> =>
    served(request, async () => {
      const { shop, person, name } = await programAt(request, operation);
      const { id = '' } = (await context.params) ?? {};
      const given = Object.fromEntries(new URL(request.url).searchParams);
      const query: unknown = operation.query ? checkedJson(operation.query, JSON.stringify(given)) : undefined;
      const body: unknown = operation.body ? await readJson(request, operation.body) : undefined;
      const said = await withShop(shop, person, async (tx) => {
        const done = await fn(tx, { id, query, body } as Asked<O>);
        if (operation.method === 'POST')
          await insertAudit(tx, {
            person,
            what: `by the program “${name}”: ${operation.path}`,
            about: id || null,
            tablet: null,
          });
        return done;
      });
      return answer(200, operation.answer.parse(said));
    });
