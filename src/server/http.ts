import { z } from 'zod';
import { notFound, ProblemError, type Problem } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import { checkedJson, plainText, readJson, readText } from './body';
import { inShop, PERSON_COOKIE, personFrom } from './context';
import { problemOf } from './faults';
import { type Asker } from './threadPool';
import { answered, fault, requestId } from './watch';

const cookieOf = (request: Request, name: string): string | undefined =>
  request.headers
    .get('cookie')
    ?.split(/;\s*/)
    .find((pair) => pair.startsWith(`${name}=`))
    ?.slice(name.length + 1);

const answer = (status: number, body: unknown, retryAfter?: number): Response =>
  Response.json(body, {
    status,
    headers: { 'Cache-Control': 'no-store', ...(retryAfter !== undefined && { 'Retry-After': String(retryAfter) }) },
  });

/** One way for every route: person, body, errors. The origin was checked at the door (src/proxy.ts). */
export async function respond<S extends z.ZodType, T>(
  request: Request,
  schema: S | null,
  fn: (body: z.output<S>, person: string) => Promise<T>,
): Promise<Response> {
  return served(request, async () => {
    const person = personFrom(cookieOf(request, PERSON_COOKIE));
    const body = schema ? await readJson(request, schema) : (undefined as z.output<S>);
    return answer(200, await fn(body, person));
  });
}

/** Answers a request in one way: what is thrown becomes a problem in the one error shape, and every answer is counted. */
async function served(request: Request, fn: () => Promise<Response>): Promise<Response> {
  const began = performance.now();
  let response: Response;
  try {
    response = await fn();
  } catch (error) {
    response = failed(request, error);
  }
  answered(request, response.status, began);
  return response;
}

function failed(request: Request, error: unknown): Response {
  const told = problemOf(error);
  if (told) return answer(told.status, told.problem, told.retryAfter);
  fault(request, error);
  const id = requestId(request);
  const problem: Problem = {
    code: 'server',
    message: 'The server could not do this just now. Nothing was saved; what you typed is still here. Try again.',
    ...(id && { request: id }),
  };
  return answer(503, problem);
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A route below one id: the body is checked, then `fn` runs in one transaction of the shop. */
export const idRoute =
  <S extends z.ZodType, T>(schema: S | null, fn: (tx: Tx, id: string, body: z.output<S>) => Promise<T>) =>
  (request: Request, context: IdContext) =>
    idRouteOutside<S, T>(schema, (inTx, id, body) => inTx((tx) => fn(tx, id, body)))(request, context);

/** The same for work that must not hold a transaction all the time: `fn` opens its own. */
export const idRouteOutside =
  <S extends z.ZodType, T>(
    schema: S | null,
    fn: (inTx: InTx, id: string, body: z.output<S>, asker: Asker) => Promise<T>,
  ) =>
  async (request: Request, { params }: IdContext): Promise<Response> => {
    const { id } = await params;
    return respond<S, T>(request, schema, async (body, person) => {
      if (!UUID.test(id)) throw notFound('This');
      return fn((work) => inShop(person, work), id, body, { who: person, gone: request.signal });
    });
  };

interface IdContext {
  params: Promise<{ id: string }>;
}
export type InTx = <T>(fn: (tx: Tx) => Promise<T>) => Promise<T>;

const formSchema = z.object({
  id: z.uuid(),
  subject: z.string().trim().min(1).max(200),
  caption: z.string().trim().max(200).default(''),
});
/** A form with one file: more than this is not read at all. */
const LARGEST_FORM = 16_000_000;

/** A route below one id that takes a file with its id, subject and caption. */
export const formRoute =
  <T>(fn: (inTx: InTx, id: string, given: z.output<typeof formSchema> & { file: Buffer }) => Promise<T>) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This');
      const person = personFrom(cookieOf(request, PERSON_COOKIE));
      const size = Number(request.headers.get('content-length') ?? NaN);
      if (!(size <= LARGEST_FORM))
        throw new ProblemError(413, {
          code: 'too-large',
          message: 'The picture is larger than 15 MB. Send a smaller one.',
          field: 'file',
        });
      const form = await request.formData().catch(() => undefined);
      const file = form?.get('file');
      const given = formSchema.safeParse(
        Object.fromEntries(
          [...(form ?? [])].flatMap(([name, v]) => (typeof v === 'string' ? [[name, plainText(v)]] : [])),
        ),
      );
      if (!(file instanceof Blob) || !given.success)
        throw new ProblemError(400, {
          code: 'bad-input',
          message: 'A picture and what it shows are needed.',
          field: 'file',
        });
      const buffer = Buffer.from(await file.arrayBuffer());
      return answer(200, await fn((work) => inShop(person, work), id, { ...given.data, file: buffer }));
    });

/** A file of text sent as it is, of no more than `most` bytes. */
export const fileRoute =
  <T>(fn: (inTx: InTx, text: string, query: URLSearchParams, asker: Asker) => Promise<T>, most: number) =>
  (request: Request): Promise<Response> =>
    respond(request, null, async (_, person) => {
      const text = await readText(request, most, `The file is larger than ${Math.round(most / 1e6)} MB. Split it.`);
      return fn((work) => inShop(person, work), plainText(text), new URL(request.url).searchParams, {
        who: person,
        gone: request.signal,
      });
    });

/** Text as a file to keep, sent piece by piece as it is made; a failure on the way breaks it off, so that half a file is never taken for a whole one. */
export const downloadRoute =
  <S extends z.ZodType>(
    schema: S,
    { type, name }: { type: string; name: string },
    pieces: (tx: Tx, ask: z.output<S>) => AsyncGenerator<string>,
  ) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      const person = personFrom(cookieOf(request, PERSON_COOKIE));
      const ask = checkedJson(schema, new URL(request.url).searchParams.get('ask') ?? '{}');
      const { readable, writable } = new TransformStream<string, string>();
      const to = writable.getWriter();
      const made = inShop(person, async (tx) => {
        for await (const piece of pieces(tx, ask)) {
          await to.ready;
          await to.write(piece);
        }
      });
      made
        .then(
          () => to.close(),
          (error: unknown) => {
            fault(request, error);
            return to.abort(error);
          },
        )
        .catch(() => undefined);
      return new Response(readable.pipeThrough(new TextEncoderStream()), {
        headers: {
          'Content-Type': `${type}; charset=utf-8`,
          'Content-Disposition': `attachment; filename="${name}"`,
          'Cache-Control': 'no-store',
        },
      });
    });

/** A stored picture; it never changes, so it may be kept. */
export const imageRoute =
  (fn: (tx: Tx, id: string) => Promise<{ jpeg: Buffer; sha256: string }>) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This picture');
      const person = personFrom(cookieOf(request, PERSON_COOKIE));
      const { jpeg, sha256 } = await inShop(person, (tx) => fn(tx, id));
      return new Response(new Uint8Array(jpeg), {
        headers: {
          'Content-Type': 'image/jpeg',
          'Cache-Control': 'private, max-age=31536000, immutable',
          ETag: `"${sha256}"`,
        },
      });
    });
