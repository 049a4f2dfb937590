import { logFileSchema } from '@/contracts/logFile';
import { logFile } from '@/server/files/logs';
import { takeLog } from '@/server/files/logsIn';
import { idRouteOutside, madeRoute } from '@/server/http';

export const GET = madeRoute('read', logFile);
export const POST = idRouteOutside('note', logFileSchema, takeLog);
