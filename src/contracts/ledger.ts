import { z } from 'zod';
import { LEDGER_KINDS } from '@/core/suspension/registry';

export const ledgerLineSchema = z.object({
  kind: z.enum(LEDGER_KINDS),
  label: z.string(),
  value: z.number(),
  half90: z.number(),
  reach: z.object({ below: z.number(), above: z.number() }).exactOptional(),
});
