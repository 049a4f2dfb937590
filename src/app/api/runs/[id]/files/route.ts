import { madeRoute } from '@/server/http';
import { filesOfRun } from '@/server/runs';

export const GET = madeRoute('read', filesOfRun);
