import { databaseAnswers } from '@/server/context';

/** The server can serve: its database answers too. */
export async function GET(): Promise<Response> {
  const ready = await databaseAnswers();
  return new Response(ready ? 'ready\n' : 'the database does not answer\n', {
    status: ready ? 200 : 503,
    headers: { 'Cache-Control': 'no-store', ...(!ready && { 'Retry-After': '2' }) },
  });
}
