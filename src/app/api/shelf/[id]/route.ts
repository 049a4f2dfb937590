import { partEditSchema } from '@/contracts/shelf';
import { idRoute } from '@/server/http';
import { onePart, savePart } from '@/server/shelf';

export const GET = idRoute(null, onePart);
export const PUT = idRoute(partEditSchema, savePart);
