import { newReadingSchema } from '@/contracts/job';
import { idRoute } from '@/server/http';
import { prove } from '@/server/prove';

export const POST = idRoute(newReadingSchema, (tx, id, reading) => prove(tx, id, reading));
