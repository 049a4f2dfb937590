import { shopRoute } from '@/server/http';
import { daysInBay } from '@/server/prepare';

export const GET = shopRoute('read', null, daysInBay);
