import { actSchema } from '@/contracts/batch';
import { idRoute } from '@/server/http';
import { changeRun, runOf } from '@/server/runs';

export const GET = idRoute('read', null, runOf);
export const POST = idRoute('work', actSchema, changeRun);
