import { newShopLimitSchema } from '@/contracts/finding';
import { idRoute, vouch } from '@/server/http';
import { setShopLimit } from '@/server/inspect';

export const POST = idRoute(vouch('set a limit of the shop’s own'), newShopLimitSchema, setShopLimit);
