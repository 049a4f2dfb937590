import { formRoute } from '@/server/http';
import { addPartPhoto } from '@/server/shelf';

export const POST = formRoute('note', addPartPhoto);
