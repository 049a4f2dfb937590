import { personEditSchema } from '@/contracts/door';
import { editPerson } from '@/server/door/shop';
import { idRoute, own } from '@/server/http';

export const PUT = idRoute(own('changed what a person may do'), personEditSchema, editPerson);
