import { z } from 'zod';
import { BENDS } from '@/core/fastener/uboltOrder';
import { REAR_ENDS } from '@/core/mechanics/linkage/rearEnds';
import { LEAF_ROLES, SEAT_SHAPES } from '@/core/suspension/longitudinalLeaf/input';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { id, sideSchema, when } from './basics';

export const leafSchema = z.object({ id, ordinal: z.number() });

export const packSchema = z.object({
  id,
  /** null for the pack of both sides; where they differ, one of them has its own besides. */
  side: sideSchema.nullable(),
  eyeForm: z.enum(EYE_FORMS).nullable(),
  /** null where the rear eye is like the front one. */
  eyeFormRear: z.enum(EYE_FORMS).nullable(),
  seatShape: z.enum([...SEAT_SHAPES, 'unknown']),
  /** null when nobody looked. */
  lowestLeaf: z.enum(LEAF_ROLES).nullable(),
  /** Where the shackle's eye is against its pivot in the frame, or a pad in its place; null when nobody looked. */
  rearEnd: z.enum(REAR_ENDS).nullable(),
  /** The end that hangs on the shackle; null when nobody looked. */
  shackleAt: z.enum(['rear', 'front']).nullable(),
  rusty: z.boolean(),
  /** Whether the other side's pack is like the one measured. */
  otherSide: z.enum(['same', 'different', 'unknown']),
  /** The side that has a pack of its own where they differ; the pack of both is then the other side's. */
  ownSide: sideSchema.nullable(),
  /** What the U-bolts' bend lies round; null when nobody looked. */
  uboltBend: z.enum(BENDS).nullable(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
});

export const packEditSchema = z.object({
  version: z.number().int(),
  /** Whose pack: of both sides, or the own one of a side. */
  side: sideSchema.nullable().default(null),
  eyeForm: z.enum(EYE_FORMS).nullable(),
  eyeFormRear: z.enum(EYE_FORMS).nullable().default(null),
  seatShape: z.enum([...SEAT_SHAPES, 'unknown']),
  lowestLeaf: z.enum(LEAF_ROLES).nullable().default(null),
  rearEnd: z.enum(REAR_ENDS).nullable().default(null),
  shackleAt: z.enum(['rear', 'front']).nullable().default(null),
  rusty: z.boolean(),
  otherSide: z.enum(['same', 'different', 'unknown']).default('unknown'),
  ownSide: sideSchema.nullable().default(null),
  uboltBend: z.enum(BENDS).nullable().default(null),
  leafCount: z.number().int().min(1).max(20),
});

export type Pack = z.infer<typeof packSchema>;

export type PackEdit = z.infer<typeof packEditSchema>;
