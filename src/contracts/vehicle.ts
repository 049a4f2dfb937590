import { z } from 'zod';
import { AXLE_CLASSES, type AxleClass } from '@/core/sheet/axleClass';
import { KIND_IDS } from '@/core/suspension/registry';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { VEHICLE_FORM_IDS } from '@/core/vehicle/form';
import { RATED_PARTS } from '@/core/vehicle/rating';
import { id, typed, when } from './basics';

export const axleClassSchema = z.enum(Object.keys(AXLE_CLASSES) as [AxleClass, ...AxleClass[]]);

export const vehicleSchema = z.object({
  id,
  name: z.string(),
  maker: z.string(),
  form: z.enum(VEHICLE_FORM_IDS),
  /** Front axle to rear axle; of a hitched one, coupling to axle. mm. */
  wheelbase: z.number(),
  wheelbaseTyped: z.string(),
  /** What a full tank weighs, kg: null when nobody said, 0 without a tank. */
  tankMass: z.number().nullable(),
  tankMassTyped: z.string().nullable(),
  tankStation: z.number().nullable(),
  tankStationTyped: z.string().nullable(),
  use: z.string(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
});

export type Vehicle = z.infer<typeof vehicleSchema>;

/** What a job must know of its axle; where a spring lies is asked of leaf springs only. */
export const axleFacts = {
  arrangement: z.enum(['over', 'under']).nullable(),
  axleClass: axleClassSchema,
  steered: z.boolean(),
};

export const axleSchema = z.object({
  id,
  position: z.enum(['front', 'rear']),
  suspension: z.enum(KIND_IDS),
  ...axleFacts,
});

/** Any axle of a vehicle, with what its parts may carry. */
export const vehicleAxleSchema = z.object({
  id,
  position: z.enum(AXLE_POSITIONS),
  suspension: z.enum(SUSPENSION_IDS),
  ratings: z.array(z.object({ part: z.enum(RATED_PARTS), rating: z.number(), typed: z.string() })),
});

export type VehicleAxle = z.infer<typeof vehicleAxleSchema>;

/** An axle with its vehicle, as a new job may be for. */
export const knownAxleSchema = z.object({
  id,
  position: z.enum(AXLE_POSITIONS),
  suspension: z.enum(KIND_IDS),
  /** null where nobody has looked. */
  arrangement: axleFacts.arrangement,
  axleClass: axleFacts.axleClass.nullable(),
  steered: axleFacts.steered.nullable(),
  vehicle: vehicleSchema.pick({ id: true, name: true, maker: true, form: true }),
});

export const axleSearchSchema = z.object({ words: z.string().trim().max(80) });
export type KnownAxle = z.infer<typeof knownAxleSchema>;

// What clients send.
/** A tank without its mass known is null; 0 is no tank. */
export const tankShape = {
  tankMass: z.number().min(0).max(5000).nullable().default(null),
  tankMassTyped: typed.nullable().default(null),
  tankStation: z.number().min(-20_000).max(40_000).nullable().default(null),
  tankStationTyped: typed.nullable().default(null),
};

export const vehicleEditSchema = z.object({
  version: z.number().int(),
  /** Absent: as it is. */
  form: z.enum(VEHICLE_FORM_IDS).optional(),
  use: z.string().trim().max(200),
  ...tankShape,
  others: z.array(z.object({ position: z.enum(AXLE_POSITIONS), suspension: z.enum(SUSPENSION_IDS) })).max(2),
  /** Of this job's axle. */
  ratings: z.array(z.object({ part: z.enum(RATED_PARTS), rating: z.number().min(20).max(30_000), typed })).max(6),
});

export type VehicleEdit = z.infer<typeof vehicleEditSchema>;
