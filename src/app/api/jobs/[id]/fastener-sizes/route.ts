import { newFastenerSizeSchema } from '@/contracts/tool';
import { idRoute } from '@/server/http';
import { sizeFastener } from '@/server/prepare';

export const POST = idRoute('note', newFastenerSizeSchema, sizeFastener);
