import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { jobForPrograms } from '@/server/programs/programs';

export const GET = programRoute(OPERATIONS.job, (tx, { id }) => jobForPrograms(tx, id));
