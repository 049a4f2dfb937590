import { newChecksSchema } from '@/contracts/follow';
import { idRoute } from '@/server/http';
import { addChecks } from '@/server/follow';

export const POST = idRoute('work', newChecksSchema, addChecks);
