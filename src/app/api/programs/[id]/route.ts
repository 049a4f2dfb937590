import { idRoute, own } from '@/server/http';
import { takeProgramBack } from '@/server/programs/programs';

export const DELETE = idRoute(own('took a program’s token back'), null, takeProgramBack);
