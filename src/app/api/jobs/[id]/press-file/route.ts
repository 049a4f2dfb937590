import { pressFileSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { importPressRun } from '@/server/measure';

export const POST = idRoute(pressFileSchema, importPressRun);
