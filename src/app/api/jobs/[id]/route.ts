import { askSchema } from '@/contracts/ask';
import { editAsk } from '@/server/ask';
import { idRoute } from '@/server/http';
import { loadJob } from '@/server/jobs';

export const GET = idRoute('read', null, (tx, id) => loadJob(tx, id));
export const PATCH = idRoute('note', askSchema, editAsk);
