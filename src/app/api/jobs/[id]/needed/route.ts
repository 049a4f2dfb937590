import { neededEditSchema } from '@/contracts/needed';
import { idRoute } from '@/server/http';
import { saveNeeded } from '@/server/prepare';

export const PUT = idRoute('work', neededEditSchema, saveNeeded);
