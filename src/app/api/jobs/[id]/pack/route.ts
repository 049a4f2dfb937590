import { packEditSchema } from '@/contracts/pack';
import { editPack } from '@/server/measure';
import { idRoute } from '@/server/http';

export const PUT = idRoute('note', packEditSchema, editPack);
