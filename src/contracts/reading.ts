import { z } from 'zod';
import { POINT_IDS } from '@/core/measure/points';
import { id, phaseSchema, sideSchema, typed, unitSchema, when } from './basics';

export const pointSchema = z.enum(POINT_IDS as [(typeof POINT_IDS)[number], ...typeof POINT_IDS]);

/** `sister`: read on a vehicle made alike, not on this one. */
export const instrumentSchema = z.enum(['tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate', 'sister']);

/** The conditions readings were taken in; a change makes a new day. */
export const daySchema = z.object({
  id,
  phase: phaseSchema,
  /** Share of a full tank; null when nobody looked. */
  fuel: z.number().nullable(),
  /** As at the before heights, whatever that was. */
  fuelAsBefore: z.boolean(),
  tyrePressure: z.number().nullable(),
  tyrePressureTyped: z.string().nullable(),
  stance: z.enum(['ground', 'air']),
  person: z.string(),
  setAt: when,
});

export type DayRow = z.infer<typeof daySchema>;

export const readingSchema = z.object({
  id,
  point: pointSchema,
  phase: phaseSchema,
  side: sideSchema.nullable(),
  leafId: id.nullable(),
  stateId: id.nullable(),
  typed: z.string(),
  value: z.number(),
  unit: unitSchema,
  rolled: z.boolean().nullable(),
  instrument: instrumentSchema,
  dayId: id.nullable(),
  person: z.string(),
  takenAt: when,
  /** Why it was corrected after the build had begun. */
  correctionReason: z.string().nullable(),
});

export type ReadingRow = z.infer<typeof readingSchema>;

export const newReadingSchema = z.object({
  id,
  point: pointSchema,
  phase: phaseSchema,
  side: sideSchema.nullable(),
  leafId: id.nullable(),
  stateId: id.nullable(),
  typed,
  /** Unit chosen when the person was asked; otherwise the text speaks for itself. */
  value: z.number(),
  unit: unitSchema,
  rolled: z.boolean().nullable(),
  instrument: instrumentSchema,
  dayId: id.nullable().default(null),
  /** The reading this one was made to replace; null when the field was empty. */
  supersedes: id.nullable(),
  /** A before reading corrected once the build has begun says why. */
  correctionReason: z.string().trim().min(5, 'Say why, in a few words.').max(300).nullable().optional(),
});

export type NewReading = z.infer<typeof newReadingSchema>;

export const newDaySchema = z.object({
  id,
  phase: phaseSchema,
  fuel: z.number().min(0).max(1).nullable(),
  fuelAsBefore: z.boolean().default(false),
  tyrePressure: z.number().min(0).max(1500).nullable(),
  tyrePressureTyped: typed.nullable(),
  stance: z.enum(['ground', 'air']),
});

export type NewDay = z.infer<typeof newDaySchema>;
