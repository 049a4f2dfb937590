import { newRunSchema } from '@/contracts/run';
import { shopRoute } from '@/server/http';
import { askRun } from '@/server/runs';

export const POST = shopRoute('work', newRunSchema, askRun);
