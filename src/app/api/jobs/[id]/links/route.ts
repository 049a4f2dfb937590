import { newLinkSchema } from '@/contracts/door';
import { linksOf, makeLink } from '@/server/door/shop';
import { idRoute, vouch } from '@/server/http';

export const GET = idRoute('read', null, linksOf);
export const POST = idRoute(vouch('made a link for a customer'), newLinkSchema, makeLink);
