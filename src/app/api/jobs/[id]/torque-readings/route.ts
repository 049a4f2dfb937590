import { newTorqueReadingSchema } from '@/contracts/torque';
import { readTorque } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newTorqueReadingSchema, readTorque);
