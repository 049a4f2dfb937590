import { newStepTickSchema } from '@/contracts/stepTick';
import { tickStep } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newStepTickSchema, tickStep);
