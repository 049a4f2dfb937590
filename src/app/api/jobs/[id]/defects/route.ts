import { endDefectSchema, newDefectSchema } from '@/contracts/defect';
import { endDefectOf, goOnWith } from '@/server/build';
import { idRoute, idRouteOutside, vouch } from '@/server/http';

export const POST = idRouteOutside(vouch('went on with a defect'), newDefectSchema, (inTx, id, given, asker, look) =>
  goOnWith({ inTx, look, asker }, id, given),
);
export const PATCH = idRoute(vouch('ended a defect'), endDefectSchema, endDefectOf);
