import { newRoadTestSchema } from '@/contracts/prove';
import { idRoute } from '@/server/http';
import { noteRoadTest } from '@/server/prove';

export const POST = idRoute('note', newRoadTestSchema, noteRoadTest);
