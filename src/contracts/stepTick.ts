import { z } from 'zod';
import { when } from './basics';

export const stepSchema = z.string().regex(/^[a-z][A-Za-z0-9]{0,39}(\.(left|right))?$/);

/** The last word of a step of the work: done or not, by whom. */
export const stepTickSchema = z.object({
  step: stepSchema,
  done: z.boolean(),
  /** Why it was ticked without what was asked for it. */
  note: z.string(),
  person: z.string(),
  tickedAt: when,
  /** Somebody else had said the opposite meanwhile, and neither knew of the other. */
  disputed: z.boolean(),
});
export type StepTick = z.infer<typeof stepTickSchema>;

export const newStepTickSchema = z.object({
  id: z.uuid(),
  step: stepSchema,
  done: z.boolean(),
  note: z.string().trim().max(300).default(''),
  /** How long it lay on a screen without a network, s. */
  heldFor: z.number().min(0).max(3e6).default(0),
});
export type NewStepTick = z.infer<typeof newStepTickSchema>;
