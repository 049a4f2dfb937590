import { z } from 'zod';
import { KIND_IDS } from '@/core/suspension/registry';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { id, typed } from './basics';
import { axleFacts } from './vehicle';

/** One of the axles a job works on. Its own id names it in every address and record. */
export const jobAxleSchema = z.object({
  id,
  axleId: id,
  position: z.enum(AXLE_POSITIONS),
  suspension: z.enum(SUSPENSION_IDS),
  ordinal: z.number(),
  /** Taken up by mistake; what was read of it stays. */
  dropped: z.boolean(),
});

export type JobAxle = z.infer<typeof jobAxleSchema>;

/** What is wanted of one axle. */
export const axleAskShape = {
  wantedChange: z.number().min(-300).max(300),
  wantedTyped: typed,
  tolerance: z.number().min(0).max(100),
  toleranceTyped: typed,
  guess: z.number().min(-300).max(300).nullable(),
  guessTyped: typed.nullable(),
};

const axleAskSchema = z.object(axleAskShape);
export type AxleAsk = z.infer<typeof axleAskSchema>;

/** Takes another axle of the vehicle into the job, or leaves one out. */
export const jobAxleActSchema = z.discriminatedUnion('act', [
  axleAskSchema.extend({
    act: z.literal('add'),
    id,
    position: z.enum(['front', 'rear']),
    /** Of an axle nobody has written down yet. */
    suspension: z.enum(KIND_IDS).default('longitudinalLeaf'),
    /** Of an axle that nobody has looked at before. */
    facts: z.object(axleFacts).nullable().default(null),
    leafCount: z.number().int().min(1).max(20),
  }),
  z.object({ act: z.enum(['drop', 'takeUp']), id }),
]);

export type JobAxleAct = z.infer<typeof jobAxleActSchema>;
export type JobAxleInput = z.input<typeof jobAxleActSchema>;
