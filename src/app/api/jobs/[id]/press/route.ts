import { newPressRunSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { addPressRun } from '@/server/measure';

export const POST = idRoute(newPressRunSchema, addPressRun);
