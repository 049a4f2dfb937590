import { handOverSheetSchema } from '@/contracts/door';
import { handOverSheet } from '@/server/files/handOverSheet';
import { madeOfRoute, vouch } from '@/server/http';

export const POST = madeOfRoute(vouch('printed a hand-over sheet'), handOverSheetSchema, handOverSheet);
