import { planActSchema } from '@/contracts/plan';
import { actOnPlans } from '@/server/choose';
import { idRoute } from '@/server/http';

export const POST = idRoute('work', planActSchema, actOnPlans);
