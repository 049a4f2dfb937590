import { logFile } from '@/server/files/logs';
import { madeRoute } from '@/server/http';

export const GET = madeRoute('read', logFile);
