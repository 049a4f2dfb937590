import { idRoute } from '@/server/http';
import { partHistory } from '@/server/shelf';

export const GET = idRoute('read', null, partHistory);
