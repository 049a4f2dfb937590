import { personUnitsSchema } from '@/contracts/units';
import { inShop } from '@/server/context';
import { respond } from '@/server/http';
import { chooseUnits } from '@/server/people';

export const PUT = (request: Request) =>
  respond(request, personUnitsSchema, ({ units }, person) => inShop(person, (tx) => chooseUnits(tx, units)));
