import { newProgramSchema } from '@/contracts/program';
import { own, shopRoute } from '@/server/http';
import { makeProgram } from '@/server/programs/programs';

export const POST = shopRoute(own('made a token for a program'), newProgramSchema, makeProgram);
