import { newSurveySchema } from '@/contracts/surveyRow';
import { answerSurvey } from '@/server/measure';
import { idRoute } from '@/server/http';

export const POST = idRoute('note', newSurveySchema, answerSurvey);
