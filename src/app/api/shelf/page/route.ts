import { shelfAskSchema } from '@/contracts/shelf';
import { shopRoute } from '@/server/http';
import { shelfPage } from '@/server/shelf';

export const POST = shopRoute('read', shelfAskSchema, (tx, ask) => shelfPage(tx, ask));
