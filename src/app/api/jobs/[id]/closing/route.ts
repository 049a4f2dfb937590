import { newClosingSchema } from '@/contracts/defect';
import { closeJob } from '@/server/build';
import { idRoute, vouch } from '@/server/http';

export const POST = idRoute(vouch('closed the job'), newClosingSchema, closeJob);
