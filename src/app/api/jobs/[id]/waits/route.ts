import { waitEditSchema } from '@/contracts/needed';
import { idRoute } from '@/server/http';
import { saveWait } from '@/server/prepare';

export const PUT = idRoute('work', waitEditSchema, saveWait);
