import { idRouteOutside } from '@/server/http';
import { residualOf } from '@/server/prove';

export const GET = idRouteOutside('read', null, (inTx, id, _none, asker) => residualOf(inTx, id, asker));
