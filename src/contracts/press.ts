import { z } from 'zod';
import { id, sideSchema, when } from './basics';

export const pressPointSchema = z.object({
  /** N */
  force: z.number().min(0).max(1e6),
  /** Eye line to the main leaf's top face, mm. */
  archTop: z.number().min(-500).max(800),
  branch: z.enum(['loading', 'unloading']),
});

export const pressRunSchema = z.object({
  id,
  side: sideSchema,
  source: z.enum(['press', 'csv']),
  points: z.array(pressPointSchema),
  person: z.string(),
  takenAt: when,
});

export type PressRun = z.infer<typeof pressRunSchema>;

export const newPressRunSchema = z.object({
  id,
  side: sideSchema,
  points: z.array(pressPointSchema).min(3, 'A run needs three points at least.').max(500),
});

/** A load-deflection test as a file's text; see docs/formats.md. */
export const pressFileSchema = z.object({ id, side: sideSchema, text: z.string().min(1).max(150_000) });
