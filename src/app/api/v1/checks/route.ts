import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { checksForPrograms } from '@/server/programs/programs';

export const GET = programRoute(OPERATIONS.checks, (tx, { query }) => checksForPrograms(tx, query));
