import { idRoute, own } from '@/server/http';
import { takeHookBack } from '@/server/programs/programs';

export const DELETE = idRoute(own('ended an address that is told of checks'), null, takeHookBack);
