import { bundleFile } from '@/server/files/jobBundle';
import { madeRoute } from '@/server/http';

export const GET = madeRoute('work', bundleFile);
