import { databaseAnswers, ends } from '@/server/context';

/** The server can serve: its database answers too, and it was not told to end. */
export async function GET(): Promise<Response> {
  const why = ends() ? 'it is about to end\n' : (await databaseAnswers()) ? null : 'the database does not answer\n';
  return new Response(why ?? 'ready\n', {
    status: why === null ? 200 : 503,
    headers: { 'Cache-Control': 'no-store', ...(why !== null && { 'Retry-After': '2' }) },
  });
}
