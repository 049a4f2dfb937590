import { doorOf } from '@/server/door/signIn';
import { openRoute } from '@/server/http';

export const GET = openRoute(null, (comer) => doorOf(comer));
