import { z } from 'zod';
import { changeSweep, sweepOf } from '@/server/fleet';
import { idRoute } from '@/server/http';

export const GET = idRoute('read', null, sweepOf);
export const POST = idRoute('work', z.object({ act: z.enum(['stop', 'again']) }), changeSweep);
