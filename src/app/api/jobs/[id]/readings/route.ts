import { newReadingSchema } from '@/contracts/reading';
import { idRoute } from '@/server/http';
import { addReading, readingHistory } from '@/server/measure';

export const GET = idRoute(null, readingHistory);
export const POST = idRoute(newReadingSchema, addReading);
