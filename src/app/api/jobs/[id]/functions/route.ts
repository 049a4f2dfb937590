import { newFunctionCheckSchema } from '@/contracts/prove';
import { idRoute } from '@/server/http';
import { tryFunction } from '@/server/prove';

export const POST = idRoute('note', newFunctionCheckSchema, tryFunction);
