import { shelfAskSchema } from '@/contracts/shelf';
import { shopRoute } from '@/server/http';
import { shelfCount } from '@/server/shelf';

export const POST = shopRoute('read', shelfAskSchema, (tx, ask) => shelfCount(tx, ask));
