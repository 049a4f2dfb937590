import { newBuildSchema } from '@/contracts/build';
import { idRoute, vouch } from '@/server/http';
import { startBuild } from '@/server/build';

export const POST = idRoute(vouch('started the build'), newBuildSchema, (tx, id, { overrideReason }) =>
  startBuild(tx, id, overrideReason),
);
