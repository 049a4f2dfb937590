import { packEditSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { editPack } from '@/server/jobs';

export const PUT = idRoute(packEditSchema, editPack);
