import { newLegThreadSchema } from '@/contracts/incident';
import { readLegThread } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newLegThreadSchema, readLegThread);
