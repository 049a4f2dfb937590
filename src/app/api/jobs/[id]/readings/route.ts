import { newReadingSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { addReading } from '@/server/jobs';

export const POST = idRoute(newReadingSchema, addReading);
