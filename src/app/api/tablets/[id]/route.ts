import { forget } from '@/server/door/shop';
import { idRoute, own } from '@/server/http';

export const DELETE = idRoute(own('forgot a tablet'), null, forget);
