import { newFailureSchema } from '@/contracts/sideFinding';
import { idRoute } from '@/server/http';
import { addFailure } from '@/server/inspect';

export const POST = idRoute('note', newFailureSchema, addFailure);
