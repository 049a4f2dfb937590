import { secretsSchema } from '@/contracts/door';
import { changeSecrets } from '@/server/door/shop';
import { respond } from '@/server/http';

export const PUT = (request: Request) =>
  respond(request, 'read', secretsSchema, (inTx, given, who) => changeSecrets(inTx, who, given));
