import { newSafetySchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { answerSafety } from '@/server/jobs';

export const POST = idRoute(newSafetySchema, answerSafety);
