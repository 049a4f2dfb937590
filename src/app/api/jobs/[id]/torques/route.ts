import { newTorqueSchema } from '@/contracts/torque';
import { enterTorque } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute('work', newTorqueSchema, enterTorque);
