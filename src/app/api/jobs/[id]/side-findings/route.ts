import { newSideFindingSchema } from '@/contracts/sideFinding';
import { idRoute } from '@/server/http';
import { addSideFinding } from '@/server/inspect';

export const POST = idRoute('note', newSideFindingSchema, addSideFinding);
