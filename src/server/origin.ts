import { type Problem } from '@/contracts/problem';

const LOCAL = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;
const READS = ['GET', 'HEAD', 'OPTIONS'];

/** The names besides this machine's own that the server answers to, as whoever keeps it has set them. */
const named = (): string[] =>
  (process.env.GRAVELWORT_HOSTS ?? '')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);

/**
 * A foreign Host (a name rebound to this address), a foreign Origin (a page of another site), or a write of which nobody says what page it comes from
 * gets this problem; undefined when all is well.
 * @param byProgram it comes with a token and from no page: only the name it was asked under counts
 */
export function foreign(
  headers: { get(name: string): string | null },
  method: string,
  byProgram = false,
): Problem | undefined {
  const host = (headers.get('host') ?? '').toLowerCase();
  const origin = headers.get('origin');
  const ours =
    origin === null
      ? READS.includes(method) || headers.get('sec-fetch-site') === 'same-origin'
      : URL.canParse(origin) &&
        new URL(origin).host === host &&
        (process.env.GRAVELWORT_TLS !== 'yes' || new URL(origin).protocol === 'https:');
  const known = LOCAL.test(host) || named().some((name) => host === name || host.replace(/:\d+$/, '') === name);
  if (known && (ours || byProgram)) return undefined;
  return {
    code: 'foreign-origin',
    message: 'This server answers only to its own pages, under the names it was given.',
  };
}
