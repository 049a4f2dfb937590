import { daysOffSchema } from '@/contracts/needed';
import { own, shopRoute } from '@/server/http';
import { chooseDaysOff } from '@/server/prepare';

export const PUT = shopRoute(own('said on which days the shop does not work'), daysOffSchema, chooseDaysOff);
