import { newKitItemSchema } from '@/contracts/job';
import { putKit } from '@/server/ask';
import { idRoute } from '@/server/http';

export const POST = idRoute(newKitItemSchema, putKit);
