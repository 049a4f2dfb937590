import { newSettlingHeightSchema } from '@/contracts/follow';
import { idRoute } from '@/server/http';
import { readSettling } from '@/server/follow';

export const POST = idRoute('note', newSettlingHeightSchema, readSettling);
