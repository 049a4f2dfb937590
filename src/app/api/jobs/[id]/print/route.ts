import { printFile } from '@/server/files/prints';
import { madeRoute } from '@/server/http';

export const GET = madeRoute('read', printFile);
