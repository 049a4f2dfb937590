import { z } from 'zod';
import { CAUSE_IDS, TELLING_IDS } from '@/core/followup/causes';
import { FUNCTION_IDS } from '@/core/followup/functions';
import { id, sideSchema, when } from './basics';

export const FUNCTION_ANSWERS = ['ok', 'notOk', 'notDone'] as const;

/** The last word on something that was tried before the vehicle left. */
export const functionCheckSchema = z.object({
  item: z.enum(FUNCTION_IDS),
  answer: z.enum(FUNCTION_ANSWERS),
  note: z.string(),
  person: z.string(),
  saidAt: when,
});
export type FunctionCheck = z.infer<typeof functionCheckSchema>;

export const newFunctionCheckSchema = z
  .object({
    id,
    item: z.enum(FUNCTION_IDS),
    answer: z.enum(FUNCTION_ANSWERS),
    note: z.string().trim().max(300).default(''),
  })
  .refine((c) => c.answer === 'ok' || c.note.length >= 3, {
    path: ['note'],
    message: 'Say what is not in order, or why it was not tried.',
  });
export type NewFunctionCheck = z.infer<typeof newFunctionCheckSchema>;

const mark = z.number().int().min(0).max(10).nullable();

/** A drive before or after the work. */
export const roadTestSchema = z.object({
  phase: z.enum(['before', 'after']),
  route: z.string(),
  stateId: id,
  noise: mark,
  ride: mark,
  shake: mark,
  note: z.string(),
  person: z.string(),
  drivenAt: when,
});
export type RoadTest = z.infer<typeof roadTestSchema>;

export const newRoadTestSchema = z.object({
  id,
  phase: z.enum(['before', 'after']),
  route: z.string().trim().min(1, 'Say which road.').max(120),
  stateId: id,
  ...{ noise: mark, ride: mark, shake: mark },
  note: z.string().trim().max(300).default(''),
});
export type NewRoadTest = z.infer<typeof newRoadTestSchema>;

/** To whom it was handed, and what they were told is open. */
export const handOverSchema = z.object({
  takenBy: z.string(),
  told: z.array(z.string()),
  person: z.string(),
  handedAt: when,
});
export const newHandOverSchema = z.object({ id, takenBy: z.string().trim().min(1, 'Say who takes it.').max(120) });
export type NewHandOver = z.infer<typeof newHandOverSchema>;

/** What the tape taught of an axle, for whoever works on it next. */
export const lessonSchema = z.object({
  cause: z.enum(CAUSE_IDS),
  says: z.string(),
  person: z.string(),
  learntAt: when,
  /** The job that taught it. */
  jobId: id,
});
export type Lesson = z.infer<typeof lessonSchema>;
export const newLessonSchema = z.object({
  id,
  cause: z.enum(CAUSE_IDS),
  says: z.string().trim().min(3, 'Say what it was.').max(300),
});
export type NewLesson = z.infer<typeof newLessonSchema>;

/** Where heights that came out otherwise may come from, as the server reckoned it. */
export const residualSchema = z.object({
  heights: z.array(z.object({ side: sideSchema, stateId: id, off: z.number() })),
  usual: z.number(),
  unknown: z.number(),
  verdict: z.enum(['usual', 'likely', 'several', 'lookAgain']),
  causes: z.array(
    z.object({
      cause: z.enum(CAUSE_IDS),
      share: z.number(),
      path: z.string().nullable(),
      by: z.number().nullable(),
      side: sideSchema.nullable(),
      reading: z.number().nullable(),
      mm: z.number(),
    }),
  ),
  tell: z.object({ telling: z.enum(TELLING_IDS), gain: z.number() }).nullable(),
});
export type Residual = z.infer<typeof residualSchema>;
