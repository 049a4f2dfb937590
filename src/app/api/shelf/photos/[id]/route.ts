import { imageRoute } from '@/server/http';
import { partPhoto } from '@/server/shelf';

export const GET = imageRoute('read', partPhoto);
