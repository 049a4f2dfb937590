import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { hooksForPrograms, makeHook } from '@/server/programs/programs';

export const GET = programRoute(OPERATIONS.hooks, hooksForPrograms);
export const POST = programRoute(OPERATIONS.newHook, (tx, { body }) => makeHook(tx, body));
