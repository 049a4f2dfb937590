import { shelfAskSchema } from '@/contracts/shelf';
import { inShop } from '@/server/context';
import { respond } from '@/server/http';
import { shelfPage } from '@/server/shelf';

export const POST = (request: Request) =>
  respond(request, shelfAskSchema, (ask, person) => inShop(person, (tx) => shelfPage(tx, ask)));
