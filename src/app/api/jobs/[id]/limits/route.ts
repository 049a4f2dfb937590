import { newShopLimitSchema } from '@/contracts/finding';
import { idRoute } from '@/server/http';
import { setShopLimit } from '@/server/inspect';

export const POST = idRoute(newShopLimitSchema, setShopLimit);
