import { newSafetySchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { answerSafety } from '@/server/build';

export const POST = idRoute(newSafetySchema, answerSafety);
