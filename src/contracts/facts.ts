import { z } from 'zod';
import { type SolvedFacts } from '@/core/fit/mustFit';
import { hubDrop, worstTravel, type HubTravel } from '@/core/travel/hubTravel';

const stresses = z.array(z.array(z.number()));
const drop = z.number().transform(hubDrop);
const travel = z
  .object({ today: drop, planned: drop, droopToday: drop.nullable(), droopPlanned: drop.nullable() })
  .nullable()
  .transform((t): { travel: HubTravel | null } => ({ travel: t }));

/** What a stored prediction says of what must fit, out of its immutable result; empty where an older core did not say. */
export const factsSchema = z
  .object({ ubolt: z.unknown(), left: travel, right: travel, working: stresses, clamped: stresses })
  .transform(({ ubolt, left, right, working, clamped }): SolvedFacts => ({
    ubolt: (ubolt ?? null) as SolvedFacts['ubolt'],
    travel: worstTravel({ left, right }),
    standing: [...working.map((w) => ({ working: w })), ...clamped.map((c) => ({ working: [], clamped: c }))],
  }));
