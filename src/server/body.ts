import { type z } from 'zod';
import { disagreement } from '@/contracts/agreement';
import { ProblemError } from '@/contracts/problem';

/** Largest body of a route that takes JSON, bytes. */
const LARGEST_JSON = 200_000;

const tooLarge = (message: string) => new ProblemError(413, { code: 'too-large', message, field: 'file' });

/**
 * The whole of a body, never more than `most` bytes of it in memory: what is longer is refused while it comes.
 * @throws ProblemError `too-large`
 */
export async function readBytes(request: Request, most: number, refusal: string): Promise<Buffer> {
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge(refusal);
  const reader = request.body?.getReader();
  const parts: Uint8Array[] = [];
  for (let size = 0; reader;) {
    const { done, value } = (await reader.read()) as ReadableStreamReadResult<Uint8Array>;
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      void reader.cancel();
      throw tooLarge(refusal);
    }
    parts.push(value);
  }
  return Buffer.concat(parts);
}

/** The same as text. @throws ProblemError `too-large`; `bad-text` where it is not UTF-8 */
export async function readText(request: Request, most = LARGEST_JSON, refusal = 'That is too large.'): Promise<string> {
  const bytes = await readBytes(request, most, refusal);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new ProblemError(400, { code: 'bad-text', message: 'The request is not readable text (UTF-8).' });
  }
}

/** Half a character, a control character that is no tab or line break, or one that turns the direction of what is read. */
const NEVER_TYPED = /\p{Surrogate}|(?![\t\n\r])\p{Cc}|[\u202A-\u202E\u2066-\u2069]/u;
/** Takes no room: two names that read alike would be two. */
const WITHOUT_WIDTH = /[\u200B-\u200F\u2060\uFEFF]/g;

/** Text as a person can have meant it. @throws ProblemError where nobody types that */
export function plainText(text: string): string {
  if (NEVER_TYPED.test(text))
    throw new ProblemError(400, {
      code: 'bad-text',
      message: 'It holds characters that nobody types (control or direction marks). Type it anew.',
    });
  return text.replace(WITHOUT_WIDTH, '');
}

/** The same for every text in what JSON said. */
function plain(value: unknown): unknown {
  if (typeof value === 'string') return plainText(value);
  if (Array.isArray(value)) return value.map(plain);
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, of]) => [plainText(key), plain(of)]));
  return value;
}

/** JSON that fits its schema, its texts plain. @throws ProblemError naming the field that does not fit */
export function checkedJson<S extends z.ZodType>(schema: S, text: string): z.output<S> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new ProblemError(400, { code: 'bad-json', message: 'The request is not readable JSON.' });
  }
  const parsed = schema.safeParse(plain(json));
  if (parsed.success) {
    const field = disagreement(parsed.data);
    if (field === null) return parsed.data;
    throw new ProblemError(400, { code: 'bad-input', message: 'The text and its value do not agree.', field });
  }
  const issue = parsed.error.issues[0];
  throw new ProblemError(400, {
    code: 'bad-input',
    message: issue?.message ?? 'Something in the request is not as it should be.',
    field: issue?.path.join('.') ?? '',
  });
}

export const readJson = async <S extends z.ZodType>(request: Request, schema: S): Promise<z.output<S>> =>
  checkedJson(schema, await readText(request));
