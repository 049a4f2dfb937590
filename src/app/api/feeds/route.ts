import { newCalendarLinkSchema } from '@/contracts/door';
import { endCalendarLink, makeCalendarLink } from '@/server/door/shop';
import { own, shopRoute } from '@/server/http';

export const POST = shopRoute(own('made an address for calendars'), newCalendarLinkSchema, makeCalendarLink);
export const DELETE = shopRoute(own('took the address for calendars back'), null, endCalendarLink);
