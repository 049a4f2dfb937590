import { z } from 'zod';
import { id } from './basics';

export const KIT_STATES = ['expected', 'there', 'missing', 'notInKit', 'reused'] as const;

export const kitItemSchema = z.object({
  id,
  what: z.string(),
  wanted: z.number(),
  state: z.enum(KIT_STATES),
  person: z.string(),
});

export type KitItem = z.infer<typeof kitItemSchema>;

export const featureSchema = z.object({
  id,
  feature: z.string(),
  found: z.string(),
  means: z.string(),
  person: z.string(),
});

/** A new item of a kit, or the state of one that is there. */
export const newKitItemSchema = z.object({
  id,
  what: z.string().trim().min(1, 'Name the part.').max(120),
  wanted: z.number().int().min(1).max(999),
  state: z.enum(KIT_STATES),
});

export type NewKitItem = z.infer<typeof newKitItemSchema>;

export const newFeatureSchema = z.object({
  id,
  feature: z.string().trim().min(1, 'Name the feature.').max(120),
  found: z.string().trim().min(1, 'Say what was found.').max(120),
  means: z.string().trim().min(1, 'Say what it means for parts.').max(200),
});
