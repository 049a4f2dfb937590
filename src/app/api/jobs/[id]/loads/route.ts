import { loadsEditSchema } from '@/contracts/job';
import { editLoads } from '@/server/ask';
import { idRoute } from '@/server/http';

export const PUT = idRoute(loadsEditSchema, editLoads);
