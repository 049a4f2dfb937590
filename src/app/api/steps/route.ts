import { timesOfSteps } from '@/server/build';
import { shopRoute } from '@/server/http';

export const GET = shopRoute('read', null, timesOfSteps);
