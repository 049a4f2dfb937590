import { planEditSchema } from '@/contracts/plan';
import { idRoute } from '@/server/http';
import { editPlan } from '@/server/choose';

export const PUT = idRoute('work', planEditSchema, editPlan);
