import { partEditSchema } from '@/contracts/shelf';
import { idRoute } from '@/server/http';
import { onePart, savePart } from '@/server/shelf';

export const GET = idRoute('read', null, onePart);
export const PUT = idRoute('work', partEditSchema, savePart);
