import { jobAxleActSchema } from '@/contracts/jobAxle';
import { actOnAxles } from '@/server/ask';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', jobAxleActSchema, actOnAxles);
