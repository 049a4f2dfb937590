import { newBuildSchema } from '@/contracts/build';
import { idRoute } from '@/server/http';
import { startBuild } from '@/server/build';

export const POST = idRoute(newBuildSchema, (tx, id, { overrideReason }) => startBuild(tx, id, overrideReason));
