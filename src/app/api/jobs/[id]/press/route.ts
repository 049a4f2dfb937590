import { newPressRunSchema } from '@/contracts/press';
import { idRoute } from '@/server/http';
import { addPressRun } from '@/server/measure';

export const POST = idRoute('note', newPressRunSchema, addPressRun);
