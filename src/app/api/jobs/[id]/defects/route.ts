import { endDefectSchema, newDefectSchema } from '@/contracts/defect';
import { endDefectOf, goOnWith } from '@/server/build';
import { idRoute } from '@/server/http';

export const POST = idRoute(newDefectSchema, goOnWith);
export const PATCH = idRoute(endDefectSchema, endDefectOf);
