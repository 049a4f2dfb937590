import { packEditSchema } from '@/contracts/job';
import { editPack } from '@/server/measure';
import { idRoute } from '@/server/http';

export const PUT = idRoute(packEditSchema, editPack);
