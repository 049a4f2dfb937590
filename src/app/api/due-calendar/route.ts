import { dueCalendar } from '@/server/files/calendar';
import { madeShopRoute } from '@/server/http';

export const GET = madeShopRoute('read', dueCalendar);
