import { loadsEditSchema } from '@/contracts/loads';
import { editLoads } from '@/server/ask';
import { idRoute } from '@/server/http';

export const PUT = idRoute('note', loadsEditSchema, editLoads);
