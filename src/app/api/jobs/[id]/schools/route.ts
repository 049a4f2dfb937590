import { newSchoolChoiceSchema } from '@/contracts/plan';
import { chooseSchool } from '@/server/choose';
import { idRoute } from '@/server/http';

export const POST = idRoute('work', newSchoolChoiceSchema, chooseSchool);
