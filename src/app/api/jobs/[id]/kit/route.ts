import { newKitItemSchema } from '@/contracts/kit';
import { putKit } from '@/server/ask';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newKitItemSchema, putKit);
