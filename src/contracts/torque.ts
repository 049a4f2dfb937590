import { z } from 'zod';
import {
  JOINT_IDS,
  LUBRICATIONS,
  TORQUE_SOURCES,
  TORQUE_STAGES,
  WRENCHES,
  WRENCH_STATES,
} from '@/core/fastener/joints';
import { UNITS, type UnitId } from '@/core/units/units';
import { when, typed } from './basics';

const unitSchema = z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]);

/** What a joint is to be tightened to and how far it is; the last entry counts. */
export const torqueSchema = z.object({
  joint: z.enum(JOINT_IDS),
  typed: z.string().nullable(),
  /** N·mm; null while nobody has read the figure. */
  value: z.number().nullable(),
  unit: unitSchema.nullable(),
  source: z.enum(TORQUE_SOURCES),
  lubrication: z.enum(LUBRICATIONS),
  stage: z.enum(TORQUE_STAGES),
  /** What its locking nut runs at before it seats, N·mm; only where the figure is told without it. */
  running: z.number().nullable(),
  runningTyped: z.string().nullable(),
  person: z.string(),
  enteredAt: when,
});
export type TorqueRow = z.infer<typeof torqueSchema>;

export const newTorqueSchema = torqueSchema
  .omit({ person: true, enteredAt: true })
  .extend({
    ...{ id: z.uuid(), typed: typed.nullable() },
    ...{ running: z.number().min(1).max(5e6).nullable().default(null), runningTyped: typed.nullable().default(null) },
  })
  .refine((t) => (t.running === null) === (t.runningTyped === null), {
    error: 'A figure needs its text.',
    path: ['runningTyped'],
  });
export type NewTorque = z.infer<typeof newTorqueSchema>;

/** What the wrench read at one bolt, in which state of the vehicle, with which instrument. */
export const torqueReadingSchema = z.object({
  id: z.uuid(),
  joint: z.enum(JOINT_IDS),
  bolt: z.string(),
  typed: z.string(),
  /** N·mm */
  value: z.number(),
  unit: unitSchema,
  state: z.enum(WRENCH_STATES),
  instrument: z.enum(WRENCHES),
  person: z.string(),
  readAt: when,
});
export type TorqueReading = z.infer<typeof torqueReadingSchema>;

export const newTorqueReadingSchema = torqueReadingSchema
  .omit({ person: true, readAt: true })
  .extend({ typed, value: z.number().min(1).max(5e6) });
export type NewTorqueReading = z.infer<typeof newTorqueReadingSchema>;
