import { partsListFile } from '@/server/files/partsList';
import { madeRoute } from '@/server/http';

export const GET = madeRoute('read', partsListFile);
