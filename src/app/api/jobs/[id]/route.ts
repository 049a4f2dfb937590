import { askSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { editAsk, loadJob } from '@/server/jobs';

export const GET = idRoute(null, (tx, id) => loadJob(tx, id));
export const PATCH = idRoute(askSchema, editAsk);
