import { actSchema } from '@/contracts/batch';
import { changeSweep, sweepOf } from '@/server/fleet';
import { idRoute } from '@/server/http';

export const GET = idRoute('read', null, sweepOf);
export const POST = idRoute('work', actSchema, changeSweep);
