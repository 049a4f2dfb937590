import { newSideFindingSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { addSideFinding } from '@/server/inspect';

export const POST = idRoute(newSideFindingSchema, addSideFinding);
