import { newClosingSchema } from '@/contracts/defect';
import { closeJob } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute(newClosingSchema, closeJob);
