import { closeSideFindingSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { finishSideFinding } from '@/server/inspect';

export const POST = idRoute(closeSideFindingSchema, finishSideFinding);
