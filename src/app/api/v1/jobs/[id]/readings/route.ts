import { OPERATIONS } from '@/contracts/program';
import { programRoute } from '@/server/programs/programRoute';
import { readingByProgram } from '@/server/programs/programs';

export const POST = programRoute(OPERATIONS.reading, (tx, { id, body }) => readingByProgram(tx, id, body));
