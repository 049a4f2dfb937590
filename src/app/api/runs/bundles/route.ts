import { newImportSchema } from '@/contracts/run';
import { shopRoute, vouch } from '@/server/http';
import { askImport } from '@/server/runs';

export const POST = shopRoute(vouch('brought jobs of other shops in'), newImportSchema, askImport);
