import { idRoute } from '@/server/http';
import { partHistory } from '@/server/shelf';

export const GET = idRoute(null, partHistory);
