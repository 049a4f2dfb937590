import { newArrivalSchema } from '@/contracts/needed';
import { idRoute } from '@/server/http';
import { readArrival } from '@/server/prepare';

export const POST = idRoute('note', newArrivalSchema, readArrival);
