import { newLessonSchema } from '@/contracts/prove';
import { idRoute } from '@/server/http';
import { learn } from '@/server/prove';

export const POST = idRoute('work', newLessonSchema, learn);
