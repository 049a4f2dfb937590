import { newSafetySchema } from '@/contracts/safety';
import { idRoute } from '@/server/http';
import { answerSafety } from '@/server/build';

export const POST = idRoute(newSafetySchema, answerSafety);
