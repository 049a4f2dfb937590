import { z } from 'zod';
import { ANSWERS, SAFETY_ITEMS } from '@/core/procedure/safety';
import { id, when } from './basics';

export const safetySchema = z.object({
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
  person: z.string(),
  answeredAt: when,
});

export const newSafetySchema = z.object({
  id,
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
});
