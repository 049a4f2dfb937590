import { newReadingSchema } from '@/contracts/reading';
import { idRoute } from '@/server/http';
import { addReading, readingHistory } from '@/server/measure';

export const GET = idRoute('read', null, readingHistory);
export const POST = idRoute('note', newReadingSchema, addReading);
