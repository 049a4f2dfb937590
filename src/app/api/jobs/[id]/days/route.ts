import { newDaySchema } from '@/contracts/reading';
import { beginDay } from '@/server/measure';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newDaySchema, beginDay);
