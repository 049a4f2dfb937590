import { newOdometerSchema } from '@/contracts/due';
import { addOdometer } from '@/server/board';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newOdometerSchema, addOdometer);
