import { tickSchema } from '@/contracts/due';
import { tickCheck } from '@/server/board';
import { idRoute } from '@/server/http';

export const POST = idRoute('work', tickSchema, async (tx, id, tick) => {
  await tickCheck(tx, id, tick);
  return {};
});
