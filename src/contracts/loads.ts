import { z } from 'zod';
import { LOAD_KINDS } from '@/core/sheet/reading';
import { id, typed } from './basics';

export const loadItemSchema = z.object({
  kind: z.enum(LOAD_KINDS),
  name: z.string().trim().min(1, 'Name what is aboard.').max(80),
  mass: z.number().min(-20_000).max(20_000),
  massTyped: typed,
  station: z.number().min(-20_000).max(40_000),
  stationTyped: typed,
});

export type LoadItem = z.infer<typeof loadItemSchema>;

export const stateSchema = z.object({
  id,
  ordinal: z.number(),
  name: z.string(),
  addedMass: z.number(),
  massTyped: z.string(),
  station: z.number(),
  stationTyped: z.string(),
  wanted: z.boolean(),
  items: z.array(loadItemSchema),
});

/** All load states beyond the state of the day; one left out is dropped if nothing was read or foretold in it. */
export const loadsEditSchema = z.object({
  version: z.number().int(),
  states: z
    .array(
      z.object({
        id,
        name: z.string().trim().min(1, 'Name the load.').max(80),
        items: z.array(loadItemSchema).min(1, 'A load needs something aboard.').max(20),
      }),
    )
    .max(8),
  /** The state the goal is meant in. */
  wanted: id,
});

export type LoadsEdit = z.infer<typeof loadsEditSchema>;
