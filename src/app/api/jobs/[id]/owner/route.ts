import { ownerEditSchema } from '@/contracts/owner';
import { idRoute, vouch } from '@/server/http';
import { forgetOwner, keepOwner, ownerRecordOf } from '@/server/owner';

export const GET = idRoute('read', null, ownerRecordOf);
export const PUT = idRoute('note', ownerEditSchema, keepOwner);
export const DELETE = idRoute(vouch('erased what was kept of an owner'), null, forgetOwner);
