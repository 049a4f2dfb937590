import { z } from 'zod';
import { type SolvedFacts } from '@/core/fit/mustFit';
import { hubDrop, worstTravel, type HubTravel } from '@/core/travel/hubTravel';

const stresses = z.array(z.array(z.number()));
const drop = z.number().transform(hubDrop);
const travel = z
  .object({ today: drop, planned: drop, droopToday: drop.nullable(), droopPlanned: drop.nullable() })
  .nullable()
  .transform((t): { travel: HubTravel | null } => ({ travel: t }));

const coil = z.object({ stress: z.number(), toSolid: z.number(), toLoose: z.number(), straight: z.boolean() });
const wheel = z.object({ wheel: z.number(), stress: z.number() });
const pair = z.object({
  front: wheel,
  rear: wheel,
  swing: z.number().nullable(),
  stop: z.number().nullable(),
  atStop: z.boolean(),
  step: z.object({ up: z.number(), down: z.number() }).nullable(),
});

/** What a stored prediction says of what must fit, out of its immutable result; empty where an older core did not say. */
export const factsSchema = z
  .object({
    ubolt: z.unknown(),
    left: travel,
    right: travel,
    working: stresses,
    clamped: stresses,
    coils: z.array(coil),
    pair: z.array(pair),
  })
  .transform(({ ubolt, left, right, working, clamped, coils, pair }): SolvedFacts => ({
    ubolt: (ubolt ?? null) as NonNullable<SolvedFacts['ubolt']> | null,
    travel: worstTravel({ left, right }),
    ...(coils.length > 0 && { coils }),
    ...(pair.length > 0 && { pair }),
    standing: [...working.map((w) => ({ working: w })), ...clamped.map((c) => ({ working: [], clamped: c }))],
  }));
