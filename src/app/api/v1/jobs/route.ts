import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { jobsForPrograms } from '@/server/programs/programs';

export const GET = programRoute(OPERATIONS.jobs, (tx, { query }) => jobsForPrograms(tx, query));
