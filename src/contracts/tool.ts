import { z } from 'zod';
import { JOINT_IDS } from '@/core/fastener/joints';
import { TOOL_STATES } from '@/core/prepare/tools';
import { TOOL_KIND_IDS } from '@/core/prepare/toolKinds';
import { typed, when } from './basics';

const known = (least: number, most: number) => z.number().min(least).max(most).nullable();
const text = typed.nullable();

/** A tool of the shop as it is saved; version 0 is a new one. */
export const toolEditSchema = z
  .object({
    id: z.uuid(),
    kind: z.enum(TOOL_KIND_IDS),
    name: z.string().trim().min(1, 'Name it.').max(80),
    across: known(3, 120),
    acrossTyped: text,
    low: known(0, 5e6),
    lowTyped: text,
    high: known(0, 5e6),
    highTyped: text,
    notch: known(1, 200),
    notchTyped: text,
    capacity: known(10, 60_000),
    capacityTyped: text,
    place: z.string().trim().max(80),
    state: z.enum(TOOL_STATES),
    gone: z.boolean(),
    version: z.number().int().min(0),
  })
  .refine((t) => t.low === null || t.high === null || t.low <= t.high, {
    error: 'From the lower to the higher figure.',
    path: ['low'],
  });
export type ToolEdit = z.infer<typeof toolEditSchema>;
export const toolSchema = z.object({ ...toolEditSchema.shape, person: z.string(), updatedAt: when });
export type ToolRow = z.infer<typeof toolSchema>;

/** What fits a fastener of this axle, mm across flats. */
export const fastenerSizeSchema = z.object({
  joint: z.enum(JOINT_IDS),
  across: z.number().min(3).max(120),
  acrossTyped: typed,
  note: z.string().trim().max(120),
  person: z.string(),
  readAt: when,
});
export type FastenerSize = z.infer<typeof fastenerSizeSchema>;
export const newFastenerSizeSchema = fastenerSizeSchema.omit({ person: true, readAt: true }).extend({ id: z.uuid() });
export type NewFastenerSize = z.infer<typeof newFastenerSizeSchema>;
