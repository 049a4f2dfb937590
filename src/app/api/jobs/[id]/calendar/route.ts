import { calendarFile } from '@/server/files/calendar';
import { madeRoute } from '@/server/http';

export const GET = madeRoute('read', calendarFile);
