import { z } from 'zod';
import { SETTLING_IDS } from '@/core/vehicle/settling';
import { id, when } from './basics';

/** The last word of a shop on what it expects of a quantity; without a half-width it goes by common practice again. */
export const shopExpectsSchema = z.object({
  quantity: z.enum(SETTLING_IDS),
  value: z.number(),
  half90: z.number().nullable(),
  jobs: z.number(),
  reason: z.string(),
  person: z.string(),
  setAt: when,
});
export type ShopExpects = z.infer<typeof shopExpectsSchema>;

/** Goes by what was learnt from now on, or by common practice again. The figures are the server's own. */
export const setExpectsSchema = z.object({
  id,
  quantity: z.enum(SETTLING_IDS),
  by: z.enum(['learnt', 'practice']),
  reason: z.string().trim().min(3, 'Say why, for who comes after you.').max(300),
});
export type SetExpects = z.infer<typeof setExpectsSchema>;

/** What the shop's jobs say of one quantity beside common practice and what is gone by. */
export interface LearntLine {
  quantity: ShopExpects['quantity'];
  /** Of each job that was read over distance. */
  seen: { jobId: string; vehicle: string; value: number; half90: number }[];
  learnt: { value: number; half90: number };
  /** Every word on it, the last first. */
  words: ShopExpects[];
}
