import { z } from 'zod';
import { SUSPENSION_IDS } from '@/core/suspension/names';
import { id, sideSchema, when } from './basics';
import { type LearntLine } from './expects';

/** A defect of any vehicle of the shop that is not ended. */
export const openDefectSchema = z.object({
  id,
  /** The axle in its job. */
  jobId: id,
  vehicleId: id,
  vehicle: z.string(),
  what: z.string(),
  reason: z.string(),
  limits: z.string(),
  dueOn: z.string(),
  person: z.string(),
});
export type OpenDefect = z.infer<typeof openDefectSchema>;

/** One height by the tape against what was foretold and guessed. */
export const provenSchema = z.object({
  suspension: z.enum(SUSPENSION_IDS),
  kinds: z.array(z.string()),
  /** Foretold by the person who looks; by whom, where the shop has opened that. */
  own: z.boolean(),
  person: z.string().nullable(),
  off: z.number(),
  half: z.number(),
  inside: z.boolean(),
  /** Tape less guess, mm; null where none was made for this load. */
  guessOff: z.number().nullable(),
  /** Tape less the height it stood at in this load before, mm, and what a rule of thumb goes by. */
  rose: z.number().nullable(),
  thumb: z.object({
    arrangement: z.enum(['over', 'under']).nullable(),
    block: z.number().nullable(),
    shackle: z.number().nullable(),
    changes: z.array(
      z.object({
        ...{ kind: z.string(), height: z.number().nullable(), length: z.number().nullable() },
        thickness: z.number().nullable(),
      }),
    ),
  }),
});
export type Proven = z.infer<typeof provenSchema>;

/** What broke on one vehicle, from an odometer of 0 on. */
export const brokenSchema = z.object({
  vehicleId: id,
  vehicle: z.string(),
  /** Last distance that was written down, km. */
  to: z.number(),
  failures: z.array(z.object({ place: z.string(), km: z.number() })),
});
export type Broken = z.infer<typeof brokenSchema>;

export interface ShopRecord {
  today: string;
  defects: OpenDefect[];
  proven: Proven[];
  broken: Broken[];
  learnt: LearntLine[];
  /** Springs whose heights say that they go on sinking. */
  sinking: Sinking[];
  /** Whether everybody sees how near each one came. */
  scoresOpen: boolean;
}

/** One side of one job that does not come to rest. */
export interface Sinking {
  jobId: string;
  vehicle: string;
  side: string;
  /** How sure that is, and by how much it sinks, mm in 1,000 km. */
  chance: number;
  rate: number;
}

export const scoresOpenSchema = z.object({ open: z.boolean() });

/** A height ever read of a vehicle. */
export const historyHeightSchema = z.object({
  position: z.string(),
  side: sideSchema,
  point: z.enum(['hubToLip', 'groundToLip']),
  load: z.string(),
  phase: z.enum(['before', 'after', 'since']),
  value: z.number(),
  at: when,
  person: z.string(),
});
export type HistoryHeight = z.infer<typeof historyHeightSchema>;

export const historyJobSchema = z.object({
  /** The first axle of the job. */
  id,
  complaint: z.string(),
  begunAt: when,
  closedAt: when.nullable(),
  plans: z.array(z.string()),
});

/** Everything that is known of a vehicle over its jobs. */
export const vehicleHistorySchema = z.object({
  vehicle: z.string(),
  heights: z.array(historyHeightSchema),
  jobs: z.array(historyJobSchema),
  lessons: z.array(z.object({ position: z.string(), says: z.string(), person: z.string(), at: when })),
  failures: z.array(z.object({ place: z.string(), km: z.number(), cause: z.string() })),
  odometers: z.array(z.object({ km: z.number(), at: when })),
});
export type VehicleHistory = z.infer<typeof vehicleHistorySchema>;
