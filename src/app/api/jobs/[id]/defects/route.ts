import { endDefectSchema, newDefectSchema } from '@/contracts/defect';
import { endDefectOf, goOnWith } from '@/server/build';
import { idRoute, vouch } from '@/server/http';

export const POST = idRoute(vouch('went on with a defect'), newDefectSchema, goOnWith);
export const PATCH = idRoute(vouch('ended a defect'), endDefectSchema, endDefectOf);
