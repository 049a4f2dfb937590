import { personUnitsSchema } from '@/contracts/units';
import { shopRoute } from '@/server/http';
import { chooseUnits } from '@/server/people';

export const PUT = shopRoute('read', personUnitsSchema, (tx, { units }) => chooseUnits(tx, units));
