import { setExpectsSchema } from '@/contracts/expects';
import { setExpects } from '@/server/expects';
import { own, shopRoute } from '@/server/http';

export const POST = shopRoute(own('set what the shop expects'), setExpectsSchema, setExpects);
