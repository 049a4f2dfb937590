import { takeBackLink } from '@/server/door/shop';
import { idRoute, vouch } from '@/server/http';

export const DELETE = idRoute(vouch('took back a customer’s link'), null, takeBackLink);
