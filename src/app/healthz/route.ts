/** The server runs. */
export const GET = (): Response => new Response('ok\n', { headers: { 'Cache-Control': 'no-store' } });
