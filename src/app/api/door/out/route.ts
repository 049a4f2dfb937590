import { signOutSchema } from '@/contracts/door';
import { signOut } from '@/server/door/signIn';
import { whoIs } from '@/server/door/who';
import { openRoute } from '@/server/http';

export const POST = openRoute(signOutSchema, async ({ session }, { everywhere }) =>
  signOut(await whoIs(session), everywhere),
);
