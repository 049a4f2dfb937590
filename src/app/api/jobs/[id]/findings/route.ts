import { newFindingSchema } from '@/contracts/finding';
import { idRoute } from '@/server/http';
import { addFinding } from '@/server/inspect';

export const POST = idRoute('note', newFindingSchema, addFinding);
