import { instrumentStream } from '@/server/instruments/hub';

export const dynamic = 'force-dynamic';
export const GET = (request: Request): Response => instrumentStream(request.signal);
