import { z } from 'zod';
import { GOAL_KINDS } from '@/core/height/goals';
import { KIND_IDS } from '@/core/suspension/registry';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { VEHICLE_FORM_IDS } from '@/core/vehicle/form';
import { id, typed, when } from './basics';
import { pointSchema } from './reading';
import { loadItemSchema } from './loads';
import { axleAskShape } from './jobAxle';
import { axleFacts, tankShape } from './vehicle';

export const jobSchema = z.object({
  id,
  complaint: z.string(),
  wantedChange: z.number(),
  wantedTyped: z.string(),
  tolerance: z.number(),
  toleranceTyped: z.string(),
  guess: z.number().nullable(),
  guessTyped: z.string().nullable(),
  noBlocks: z.boolean(),
  keepUbolts: z.boolean(),
  /** In the shop's own money; null without a limit. */
  budget: z.number().nullable(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
  createdAt: when,
});

export const goalSchema = z.object({
  kind: z.enum(GOAL_KINDS),
  target: z.number().min(-1000).max(1000),
  targetTyped: typed,
  tolerance: z.number().min(0).max(1000),
  toleranceTyped: typed,
});

export type GoalRow = z.infer<typeof goalSchema>;

/** Something read before there was a job; every leaf has what is read of a leaf. */
export const carriedReadingSchema = z.object({ point: pointSchema, typed, value: z.number() });
export type CarriedReading = z.infer<typeof carriedReadingSchema>;

export const newJobSchema = z.object({
  id,
  vehicle: z.discriminatedUnion('kind', [
    /** `facts` of an axle that nobody has looked at before. */
    z.object({ kind: z.literal('known'), axleId: id, facts: z.object(axleFacts).nullable().default(null) }),
    z.object({
      kind: z.literal('new'),
      name: z.string().trim().min(1, 'Give the vehicle a name.').max(120),
      maker: z.string().trim().max(120),
      form: z.enum(VEHICLE_FORM_IDS).default('truck'),
      wheelbase: z.number().min(500).max(20_000),
      wheelbaseTyped: typed,
      ...tankShape,
      use: z.string().trim().max(200).default(''),
      others: z
        .array(z.object({ position: z.enum(AXLE_POSITIONS), suspension: z.enum(SUSPENSION_IDS) }))
        .max(2)
        .default([]),
      position: z.enum(['front', 'rear']),
      suspension: z.enum(KIND_IDS).default('longitudinalLeaf'),
      ...axleFacts,
    }),
  ]),
  complaint: z.string().trim().min(1, 'Say what is wrong.').max(500),
  ...axleAskShape,
  noBlocks: z.boolean(),
  keepUbolts: z.boolean(),
  budget: z.number().min(0).max(1e7).nullable().default(null),
  goals: z.array(goalSchema).max(GOAL_KINDS.length).default([]),
  leafCount: z.number().int().min(1).max(20),
  usual: z
    .object({
      name: z.string().trim().min(1, 'Name the load.').max(80),
      items: z.array(loadItemSchema).min(1, 'A load needs something aboard.').max(20),
    })
    .nullable(),
  /** Which load state the wanted result is asked in. */
  wantedIn: z.enum(['today', 'usual']),
  readings: z.array(carriedReadingSchema).max(12).default([]),
});

export type NewJob = z.infer<typeof newJobSchema>;
/** As a client sends it: what has a usual value may be left out. */
export type NewJobInput = z.input<typeof newJobSchema>;

export const askSchema = newJobSchema
  .pick({
    complaint: true,
    wantedChange: true,
    wantedTyped: true,
    tolerance: true,
    toleranceTyped: true,
    guess: true,
    guessTyped: true,
    noBlocks: true,
    keepUbolts: true,
    budget: true,
    goals: true,
  })
  .extend({ version: z.number().int() });

export type AskEdit = z.infer<typeof askSchema>;
