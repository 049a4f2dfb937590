import { newHookSchema } from '@/contracts/program';
import { own, shopRoute } from '@/server/http';
import { makeHook } from '@/server/programs/programs';

export const POST = shopRoute(own('has an address told of checks'), newHookSchema, makeHook);
