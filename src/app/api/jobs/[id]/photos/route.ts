import { formRoute } from '@/server/http';
import { addPhoto } from '@/server/photos';

export const POST = formRoute('note', addPhoto);
