import { copyJobSchema } from '@/contracts/copy';
import { copyJob } from '@/server/copy';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', copyJobSchema, copyJob);
