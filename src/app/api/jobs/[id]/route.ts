import { askSchema } from '@/contracts/ask';
import { editAsk } from '@/server/ask';
import { idRoute } from '@/server/http';
import { loadJob } from '@/server/jobs';

export const GET = idRoute(null, (tx, id) => loadJob(tx, id));
export const PATCH = idRoute(askSchema, editAsk);
