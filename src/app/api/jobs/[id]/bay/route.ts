import { newBaySchema } from '@/contracts/needed';
import { idRoute } from '@/server/http';
import { setBay } from '@/server/prepare';

export const POST = idRoute('work', newBaySchema, setBay);
