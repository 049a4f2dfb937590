import { enter, served } from '@/server/http';
import { instrumentStream } from '@/server/instruments/hub';

export const dynamic = 'force-dynamic';
export const GET = (request: Request): Promise<Response> =>
  served(request, async () => {
    await enter(request, 'read');
    return instrumentStream(request.signal);
  });
