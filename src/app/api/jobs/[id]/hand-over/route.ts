import { newHandOverSchema } from '@/contracts/prove';
import { idRoute, vouch } from '@/server/http';
import { handOver } from '@/server/prove';

export const POST = idRoute(vouch('handed the vehicle over'), newHandOverSchema, handOver);
