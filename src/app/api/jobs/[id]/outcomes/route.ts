import { newReadingSchema } from '@/contracts/reading';
import { idRoute } from '@/server/http';
import { prove } from '@/server/prove';

export const POST = idRoute('note', newReadingSchema, (tx, id, reading) => prove(tx, id, reading));
