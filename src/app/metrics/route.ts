import { figures } from '@/server/watch';

/** Figures of the server for whoever watches it, in the text form that collectors read. */
export const GET = async (): Promise<Response> =>
  new Response(await figures(), {
    headers: { 'Content-Type': 'text/plain; version=0.0.4; charset=utf-8', 'Cache-Control': 'no-store' },
  });
