import { costEditSchema } from '@/contracts/cost';
import { saveCost } from '@/server/choose';
import { idRoute } from '@/server/http';

export const PUT = idRoute('work', costEditSchema, saveCost);
