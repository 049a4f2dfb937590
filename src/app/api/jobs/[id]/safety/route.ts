import { newSafetySchema } from '@/contracts/safety';
import { idRoute, vouch } from '@/server/http';
import { answerSafety } from '@/server/build';

export const POST = idRoute(vouch('answered on the safety card'), newSafetySchema, answerSafety);
