import { z } from 'zod';
import { type KeptPicture } from '@/data/picture';
import { type Need } from '@/contracts/roles';
import { notFound, ProblemError, type Problem } from '@/contracts/problem';
import { notingWrites, type Tx } from '@/data/client';
import { insertAudit } from '@/data/door';
import { checkedJson, plainText, readBytes, readJson, readText } from './body';
import { type Comer, type Cookie } from './door/signIn';
import {
  inShopOf,
  LIFE,
  requireStanding,
  SESSION_COOKIE,
  TABLET_COOKIE,
  whoIs,
  WRITTEN_COOKIE,
  type Who,
} from './door/who';
import { problemOf } from './faults';
import { pictures } from './pictures';
import { pour, SlowReader } from './files/pour';
import { Line } from './line';
import { foreign } from './origin';
import { type Asker } from './threadPool';
import { answered, fault, requestId } from './watch';

const cookieOf = (request: Request, name: string): string | undefined =>
  request.headers
    .get('cookie')
    ?.split(/;\s*/)
    .find((pair) => pair.startsWith(`${name}=`))
    ?.slice(name.length + 1);

export const answer = (status: number, body: unknown, retryAfter?: number): Response =>
  Response.json(body, {
    status,
    headers: { 'Cache-Control': 'no-store', ...(retryAfter !== undefined && { 'Retry-After': String(retryAfter) }) },
  });

/** What a route asks of who comes, and what is written down of it when it was done. */
export type Gate = Exclude<Need, 'open' | 'vouch' | 'own'> | { need: 'vouch' | 'own'; tell: string };
/** A route that a person answers for by name. @param tell what they did, in the audit trail */
export const vouch = (tell: string): Gate => ({ need: 'vouch', tell });
export const own = (tell: string): Gate => ({ need: 'own', tell });

/** Where it comes from, as the server itself saw it; what a request says of that is taken off before. */
const address = (request: Request): string | null => request.headers.get('x-gravelwort-address')?.slice(0, 80) ?? null;

export const comerOf = (request: Request): Comer => ({
  session: cookieOf(request, SESSION_COOKIE),
  tablet: cookieOf(request, TABLET_COOKIE),
  address: address(request),
});

/** Who comes, when they may; refused before anything of the request is read. */
export async function enter(request: Request, gate: Gate): Promise<Who> {
  const who = await whoIs(cookieOf(request, SESSION_COOKIE));
  requireStanding(who, typeof gate === 'string' ? gate : gate.need);
  return who;
}

/** Writes down what was answered for, in the transaction that does it. */
const noting =
  (request: Request, gate: Gate, who: Who, about: string | null): InTx =>
  (work) =>
    inShopOf(who, async (tx) => {
      const done = await work(tx);
      if (typeof gate !== 'string')
        await insertAudit(tx, {
          ...{ person: who.person, what: gate.tell, about, tablet: who.tablet, address: address(request) },
        });
      return done;
    });

/** One way for every route of the shop: who comes, body, errors. The origin was checked at the door (src/proxy.ts). */
export const respond = <S extends z.ZodType, T>(
  request: Request,
  gate: Gate,
  schema: S | null,
  fn: (inTx: InTx, body: z.output<S>, who: Who) => Promise<T>,
  about: string | null = null,
): Promise<Response> =>
  served(request, async () => {
    const who = await enter(request, gate);
    const body = schema ? await readJson(request, schema) : (undefined as z.output<S>);
    return answer(200, await fn(noting(request, gate, who, about), body, who));
  });

/** A route that asks nothing of who comes: the doors themselves. It may set cookies. */
export const openRoute =
  <S extends z.ZodType, T extends object>(
    schema: S | null,
    fn: (comer: Comer, body: z.output<S>) => Promise<T & { cookies?: Cookie[] }>,
  ) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      const body = schema ? await readJson(request, schema) : (undefined as z.output<S>);
      const { cookies = [], ...rest } = await fn(comerOf(request), body);
      const response = answer(200, rest);
      const kept = process.env.GRAVELWORT_TLS === 'yes' ? '; Secure' : '';
      for (const { name, value, life } of cookies)
        response.headers.append(
          'Set-Cookie',
          `${name}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${life}${kept}`,
        );
      return response;
    });

/** Answers a request in one way: what is thrown becomes a problem in the one error shape, and every answer is counted. */
export async function served(request: Request, fn: () => Promise<Response>): Promise<Response> {
  const began = performance.now();
  const { result: response, upTo } = await notingWrites(async () => {
    try {
      return await fn();
    } catch (error) {
      return failed(request, error);
    }
  });
  if (upTo !== null)
    response.headers.append('Set-Cookie', `${WRITTEN_COOKIE}=${upTo}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${LIFE}`);
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

/** A route of the shop below no id, in one transaction. */
export const shopRoute =
  <S extends z.ZodType, T>(gate: Gate, schema: S | null, fn: (tx: Tx, body: z.output<S>, who: Who) => Promise<T>) =>
  (request: Request): Promise<Response> =>
    respond<S, T>(request, gate, schema, (inTx, body, who) => inTx((tx) => fn(tx, body, who)));

/** A route below one id: the body is checked, then `fn` runs in one transaction of the shop. */
export const idRoute =
  <S extends z.ZodType, T>(gate: Gate, schema: S | null, fn: (tx: Tx, id: string, body: z.output<S>) => Promise<T>) =>
  (request: Request, context: IdContext) =>
    idRouteOutside<S, T>(gate, schema, (inTx, id, body) => inTx((tx) => fn(tx, id, body)))(request, context);

/** The same for work that must not hold a transaction all the time: `fn` opens its own. What it only reads by `look` is not written down as done. */
export const idRouteOutside =
  <S extends z.ZodType, T>(
    gate: Gate,
    schema: S | null,
    fn: (inTx: InTx, id: string, body: z.output<S>, asker: Asker, look: InTx) => Promise<T>,
  ) =>
  async (request: Request, { params }: IdContext): Promise<Response> => {
    const { id } = await params;
    return respond<S, T>(
      request,
      gate,
      schema,
      async (inTx, body, who) => {
        if (!UUID.test(id)) throw notFound('This');
        const look: InTx = (work) => inShopOf(who, work);
        return fn(inTx, id, body, { who: who.person, gone: request.signal }, look);
      },
      id.slice(0, 60),
    );
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
  <T>(gate: Gate, fn: (inTx: InTx, id: string, given: z.output<typeof formSchema> & { file: Buffer }) => Promise<T>) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This');
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
      return answer(200, await fn(noting(request, gate, who, id), id, { ...given.data, file: buffer }));
    });

/** How far a long piece of work is. */
export type Progress = (done: number, of: number) => void;
const LINES = 'application/x-ndjson';

/**
 * A file of text sent as it is, of no more than `most` bytes. Who asks for lines is told how far it is while it is worked on, a line each,
 * and last what came of it or what was wrong; who goes away ends it.
 */
export const fileRoute =
  <T>(
    gate: Gate,
    fn: (inTx: InTx, text: string, query: URLSearchParams, asker: Asker, tell: Progress) => Promise<T>,
    most: number,
  ) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const text = await readText(request, most, `The file is larger than ${Math.round(most / 1e6)} MB. Split it.`);
      const query = new URL(request.url).searchParams;
      const work = (tell: Progress) =>
        fn(noting(request, gate, who, null), plainText(text), query, { who: who.person, gone: request.signal }, tell);
      if (request.headers.get('accept') !== LINES) return answer(200, await work(() => undefined));
      const encoder = new TextEncoder();
      const body = new ReadableStream<Uint8Array>({
        async start(controller) {
          const line = (said: unknown) => {
            if (!request.signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(said)}\n`));
          };
          const end = await work((done, of) => line({ done, of })).then(
            (report) => ({ report }),
            async (error: unknown) => ({ problem: (await failed(request, error).json()) as Problem }),
          );
          line(end);
          if (!request.signal.aborted) controller.close();
        },
      });
      return new Response(body, { headers: { 'Content-Type': LINES, 'Cache-Control': 'no-store' } });
    });

/** A file of bytes sent as it is, of no more than `most`. */
export const bytesRoute =
  <T>(gate: Gate, fn: (inTx: InTx, file: Buffer, query: URLSearchParams) => Promise<T>, most: number) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      // The door before all routes (src/proxy.ts) does not hold what is this large.
      const problem = foreign(request.headers, request.method);
      if (problem) throw new ProblemError(403, problem);
      const who = await enter(request, gate);
      const file = await readBytes(request, most, `The file is larger than ${Math.round(most / 1e6)} MB.`);
      return answer(200, await fn(noting(request, gate, who, null), file, new URL(request.url).searchParams));
    });

/** Files under way at once, each with a connection of its own out of the few there are, and how many may wait for one. */
const downloads = new Line(3, 6);

/** Text as a file to keep, sent piece by piece as it is made; a failure on the way breaks it off, so that half a file is never taken for a whole one. */
export const downloadRoute =
  <S extends z.ZodType>(
    gate: Gate,
    schema: S,
    { type, name }: { type: string; name: string },
    pieces: (tx: Tx, ask: z.output<S>) => AsyncGenerator<string>,
  ) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const ask = checkedJson(schema, new URL(request.url).searchParams.get('ask') ?? '{}');
      const { readable, writable } = new TransformStream<string, string>();
      const to = writable.getWriter();
      let begun: () => void = () => undefined;
      const begins = new Promise<void>((resolve) => (begun = resolve));
      const made = downloads.run(() =>
        inShopOf(who, (tx) => {
          begun();
          return pour(pieces(tx, ask), to);
        }),
      );
      // What keeps it from beginning is told; what breaks it off later can only be seen by its end.
      await Promise.race([begins, made]);
      made
        .then(
          () => to.close(),
          (error: unknown) => {
            // Who goes away or does not read is no fault of the program.
            if (!(error instanceof SlowReader) && !request.signal.aborted) fault(request, error);
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

/** A file made of a job, whole. */
export interface MadeFile {
  type: string;
  name: string;
  body: string | Uint8Array;
}

/** A file to keep or to print, made when it is asked for. */
export const madeRoute =
  (gate: Gate, fn: (tx: Tx, id: string, query: URLSearchParams) => Promise<MadeFile>) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This');
      return fileAnswer(await inShopOf(who, (tx) => fn(tx, id, new URL(request.url).searchParams)));
    });

/** The same of the shop as a whole. */
export const madeShopRoute =
  (gate: Gate, fn: (tx: Tx, query: URLSearchParams) => Promise<MadeFile>) =>
  (request: Request): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      return fileAnswer(await inShopOf(who, (tx) => fn(tx, new URL(request.url).searchParams)));
    });

/** A file made of what is sent, under the name of who asks for it. @param fn is told under which address the shop was reached */
export const madeOfRoute =
  <S extends z.ZodType>(
    gate: Gate,
    schema: S,
    fn: (tx: Tx, id: string, body: z.output<S>, origin: string) => Promise<MadeFile>,
  ) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This');
      const body = await readJson(request, schema);
      const made = await noting(request, gate, who, id)((tx) => fn(tx, id, body, request.headers.get('origin') ?? ''));
      return fileAnswer(made);
    });

/** A file that its address alone opens, for programs that cannot sign in. */
export const tokenFileRoute =
  (fn: (token: string) => Promise<MadeFile>) =>
  (request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> =>
    served(request, async () => fileAnswer(await fn((await params).token)));

const fileAnswer = ({ type, name, body }: MadeFile): Response =>
  new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'Content-Type': type,
      'Content-Disposition': `attachment; filename="${name}"`,
      'Cache-Control': 'no-store',
    },
  });

/** A stored picture; it never changes, so it may be kept. */
export const imageRoute =
  (gate: Gate, fn: (tx: Tx, id: string) => Promise<KeptPicture>) =>
  (request: Request, { params }: IdContext): Promise<Response> =>
    served(request, async () => {
      const who = await enter(request, gate);
      const { id } = await params;
      if (!UUID.test(id)) throw notFound('This picture');
      const row = await inShopOf(who, (tx) => fn(tx, id));
      return new Response(new Uint8Array(await pictures().fetch(who.shop, row)), {
        headers: {
          'Content-Type': 'image/jpeg',
          'Cache-Control': 'private, max-age=31536000, immutable',
          ETag: `"${row.sha256}"`,
        },
      });
    });
