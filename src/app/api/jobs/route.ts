import { newJobSchema } from '@/contracts/ask';
import { inShop } from '@/server/context';
import { respond } from '@/server/http';
import { createJob } from '@/server/ask';

export const POST = (request: Request) =>
  respond(request, newJobSchema, (job, person) => inShop(person, (tx) => createJob(tx, job)));
