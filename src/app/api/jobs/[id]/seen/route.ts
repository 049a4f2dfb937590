import { seenEditSchema } from '@/contracts/seen';
import { idRoute } from '@/server/http';
import { editSeen } from '@/server/measure';

export const PUT = idRoute('note', seenEditSchema, editSeen);
