import { respond } from '@/server/http';
import { instruments } from '@/server/instruments/hub';

export const POST = async (request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> => {
  const { id } = await params;
  return respond(request, 'note', null, async () => {
    instruments().zero(id);
    return Promise.resolve({ zeroed: id });
  });
};
