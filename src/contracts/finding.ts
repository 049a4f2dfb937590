import { z } from 'zod';
import { VERDICTS } from '@/core/inspection/rule';
import { RULE_IDS } from '@/core/inspection/rules';
import { id, sideSchema, typed, when } from './basics';

const verdictSchema = z.enum(VERDICTS);

const valueSchema = z.object({ measure: z.string().max(40), value: z.number(), typed });

export const findingSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  side: sideSchema.nullable(),
  choice: z.string().nullable(),
  values: z.array(valueSchema),
  verdict: verdictSchema,
  note: z.string(),
  leafId: id.nullable(),
  /** mm from the pin, minus towards the front. */
  place: z.number().nullable(),
  placeTyped: z.string().nullable(),
  person: z.string(),
  foundAt: when,
});

export type FindingRow = z.infer<typeof findingSchema>;

export const shopLimitSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  verdict: verdictSchema,
  measure: z.string(),
  value: z.number(),
  typed: z.string(),
  reason: z.string(),
  person: z.string(),
  setAt: when,
});

export const newFindingSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  side: sideSchema.nullable(),
  choice: z.string().max(40).nullable(),
  values: z.array(valueSchema).max(4),
  note: z.string().trim().max(500),
  leafId: id.nullable(),
  place: z.number().min(-2000).max(2000).nullable(),
  placeTyped: typed.nullable(),
});

export type NewFinding = z.infer<typeof newFindingSchema>;

export const newShopLimitSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  verdict: verdictSchema,
  measure: z.string().min(1).max(40),
  value: z.number(),
  typed,
  reason: z.string().trim().min(5, 'Give the reason in a few words.').max(300),
});

export type NewShopLimit = z.infer<typeof newShopLimitSchema>;
