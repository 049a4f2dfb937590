import { newDaySchema } from '@/contracts/job';
import { beginDay } from '@/server/measure';
import { idRoute } from '@/server/http';

export const POST = idRoute(newDaySchema, beginDay);
