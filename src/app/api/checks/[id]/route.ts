import { doneSchema } from '@/contracts/job';
import { finishCheck } from '@/server/board';
import { idRoute } from '@/server/http';

export const POST = idRoute(doneSchema, async (tx, id) => {
  await finishCheck(tx, id);
  return {};
});
