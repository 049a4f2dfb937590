import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { shelfForPrograms } from '@/server/programs/programs';

export const GET = programRoute(OPERATIONS.shelf, (tx, { query }) => shelfForPrograms(tx, query));
