import { newFailureSchema } from '@/contracts/sideFinding';
import { idRoute } from '@/server/http';
import { addFailure } from '@/server/inspect';

export const POST = idRoute(newFailureSchema, addFailure);
