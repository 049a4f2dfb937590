import { newPersonSchema } from '@/contracts/door';
import { addPerson } from '@/server/door/shop';
import { own, shopRoute } from '@/server/http';

export const POST = shopRoute(own('took a person into the shop'), newPersonSchema, addPerson);
