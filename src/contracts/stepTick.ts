import { z } from 'zod';

/** The last word of a step of the work: done or not, by whom. */
export const stepTickSchema = z.object({
  step: z.string().regex(/^[a-z][A-Za-z0-9]{0,39}(\.(left|right))?$/),
  done: z.boolean(),
  person: z.string(),
  tickedAt: z.coerce.date().transform((d) => d.toISOString()),
});
export type StepTick = z.infer<typeof stepTickSchema>;

export const newStepTickSchema = stepTickSchema.omit({ person: true, tickedAt: true }).extend({ id: z.uuid() });
export type NewStepTick = z.infer<typeof newStepTickSchema>;
