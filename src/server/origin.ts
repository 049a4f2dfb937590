import { type Problem } from '@/contracts/problem';

const LOCAL = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * Until sign-in exists the server answers only to its own pages on this machine. A foreign Host (name rebound to this
 * address) or a foreign Origin (a page of another site) gets this problem; undefined when all is well.
 */
export function foreign(headers: { get(name: string): string | null }): Problem | undefined {
  const host = headers.get('host') ?? '';
  const origin = headers.get('origin');
  if (LOCAL.test(host) && (origin === null || (URL.canParse(origin) && new URL(origin).host === host)))
    return undefined;
  return { code: 'foreign-origin', message: 'This server answers only to its own pages on this machine.' };
}
