import { pressFileSchema } from '@/contracts/press';
import { idRoute } from '@/server/http';
import { importPressRun } from '@/server/measure';

export const POST = idRoute('note', pressFileSchema, importPressRun);
