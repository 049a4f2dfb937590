import { firstOwnerSchema } from '@/contracts/door';
import { firstOwner } from '@/server/door/shop';
import { openRoute } from '@/server/http';

export const POST = openRoute(firstOwnerSchema, firstOwner);
