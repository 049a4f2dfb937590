import { figures } from '@/server/watch';

const HERE = ['127.0.0.1', '::1', '::ffff:127.0.0.1'];

/** Figures of the server for whoever watches it from this machine, or brings the word set for that; in the text form that collectors read. */
export async function GET({ headers }: Request): Promise<Response> {
  const word = process.env.GRAVELWORT_METRICS_WORD;
  const from = headers.get('x-gravelwort-address') ?? '';
  if (!HERE.includes(from) && !(word && headers.get('authorization') === `Bearer ${word}`))
    return new Response('Not for you.\n', { status: 403 });
  return new Response(await figures(), {
    headers: { 'Content-Type': 'text/plain; version=0.0.4; charset=utf-8', 'Cache-Control': 'no-store' },
  });
}
