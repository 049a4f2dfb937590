import { closeSideFindingSchema } from '@/contracts/sideFinding';
import { idRoute } from '@/server/http';
import { finishSideFinding } from '@/server/inspect';

export const POST = idRoute('note', closeSideFindingSchema, finishSideFinding);
