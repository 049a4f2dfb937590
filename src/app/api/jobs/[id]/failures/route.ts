import { newFailureSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { addFailure } from '@/server/inspect';

export const POST = idRoute(newFailureSchema, addFailure);
