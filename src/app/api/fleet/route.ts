import { newSweepSchema } from '@/contracts/fleet';
import { askSweep } from '@/server/fleet';
import { shopRoute } from '@/server/http';

export const POST = shopRoute('work', newSweepSchema, askSweep);
