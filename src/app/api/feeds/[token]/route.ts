import { calendarOfToken } from '@/server/files/calendar';
import { tokenFileRoute } from '@/server/http';

export const GET = tokenFileRoute(calendarOfToken);
