import { z } from 'zod';
import { id, sideSchema, when } from './basics';
import { factsSchema } from './facts';
import { ledgerLineSchema } from './ledger';

/** A stored prediction as a job's pages show it: its ledgers, one a side and load state. */
export const predictionSchema = z.object({
  id,
  planVersion: z.number(),
  coreVersion: z.string(),
  seed: z.number(),
  samples: z.number(),
  person: z.string(),
  madeAt: when,
  /** What was planned, in words. */
  planName: z.string().nullable(),
  planId: id,
  facts: factsSchema,
  ledgers: z.array(z.object({ side: sideSchema, stateId: id, lines: z.array(ledgerLineSchema) })),
});

export type PredictionRow = z.infer<typeof predictionSchema>;

export const newPredictionSchema = z.object({ id, planVersion: z.number().int(), coreVersion: z.string() });
