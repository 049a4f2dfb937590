import { newJobSchema } from '@/contracts/ask';
import { shopRoute } from '@/server/http';
import { createJob } from '@/server/ask';

export const POST = shopRoute('note', newJobSchema, (tx, job) => createJob(tx, job));
