import { partsForJob } from '@/server/choose';
import { idRoute } from '@/server/http';

export const GET = idRoute('read', null, partsForJob);
