import { newTorqueSchema } from '@/contracts/job';
import { enterTorque } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute(newTorqueSchema, enterTorque);
