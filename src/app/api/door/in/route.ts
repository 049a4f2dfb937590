import { signInSchema } from '@/contracts/door';
import { signIn } from '@/server/door/signIn';
import { openRoute } from '@/server/http';

export const POST = openRoute(signInSchema, signIn);
