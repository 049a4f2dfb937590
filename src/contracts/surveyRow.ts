import { z } from 'zod';
import { SURVEY_ITEMS, type SurveyItem } from '@/core/travel/survey';
import { id, typed, when } from './basics';

export const surveySchema = z.object({
  item: z.enum(SURVEY_ITEMS as [SurveyItem, ...SurveyItem[]]),
  answer: z.enum(['ok', 'notOk', 'none', 'notChecked']),
  slack: z.number().nullable(),
  slackTyped: z.string().nullable(),
  note: z.string(),
  person: z.string(),
  answeredAt: when,
});

export type SurveyRow = z.infer<typeof surveySchema>;

export const newSurveySchema = surveySchema.pick({ item: true, answer: true }).extend({
  id,
  slack: z.number().min(0).max(2000).nullable(),
  slackTyped: typed.nullable(),
  note: z.string().trim().max(300),
});

export type NewSurvey = z.infer<typeof newSurveySchema>;
