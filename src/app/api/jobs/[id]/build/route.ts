import { newBuildSchema } from '@/contracts/build';
import { idRouteOutside, vouch } from '@/server/http';
import { startBuild } from '@/server/build';

export const POST = idRouteOutside(
  vouch('started the build'),
  newBuildSchema,
  (inTx, id, { overrideReason }, asker, look) => startBuild({ inTx, look, asker }, id, overrideReason),
);
