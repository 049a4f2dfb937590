import { axleSearchSchema } from '@/contracts/vehicle';
import { knownAxles } from '@/server/board';
import { shopRoute } from '@/server/http';

export const POST = shopRoute('read', axleSearchSchema, (tx, { words }) => knownAxles(tx, words));
