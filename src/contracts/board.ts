import { z } from 'zod';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { VEHICLE_FORM_IDS } from '@/core/vehicle/form';
import { id, when } from './basics';
import { dueSchema } from './due';

/** One line of the Board. */
export const boardRowSchema = z.object({
  /** Of the axle in its job; the first axle's is the job's own. */
  id,
  jobId: id,
  vehicle: z.string(),
  form: z.enum(VEHICLE_FORM_IDS),
  wheelbase: z.number(),
  /** All the vehicle's axles. */
  axles: z.array(z.object({ position: z.enum(AXLE_POSITIONS), suspension: z.enum(SUSPENSION_IDS) })),
  axle: z.enum(AXLE_POSITIONS),
  suspension: z.enum(SUSPENSION_IDS),
  complaint: z.string(),
  wantedChange: z.number(),
  wantedTyped: z.string(),
  tolerance: z.number(),
  wantedState: z.string().nullable(),
  predictedChange: z.number().nullable(),
  predictedHalf: z.number().nullable(),
  readings: z.number(),
  changes: z.number(),
  predictions: z.number(),
  built: z.boolean(),
  outcomes: z.number(),
  outside: z.number(),
  nextDue: dueSchema.nullable(),
  lastDone: dueSchema.nullable(),
  odometer: z.number().nullable(),
  /** Parts of its list that are not here yet. */
  waits: z.number(),
  closedAt: when.nullable(),
  createdAt: when,
});

/** What is still to be done at a job that is being built, named as on its stations. */
export type BoardRow = z.infer<typeof boardRowSchema> & {
  open: string[];
  /** What stands there that was searched for. */
  foundBy?: string;
};
