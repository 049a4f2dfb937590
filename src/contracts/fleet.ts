import { z } from 'zod';
import { FLEET_VERDICTS } from '@/core/fleet/sweep';
import { AXLE_POSITIONS } from '@/core/suspension/names';
import { id, typed } from './basics';
import { type Batch, type FailedPiece } from './batch';

/** A sweep over every vehicle with the pack of one job: which sit low, and which of that job's plans mends them. */
export const newSweepSchema = z.object({
  id: z.uuid(),
  /** The axle in its job whose plans are asked about. */
  jobAxleId: z.uuid(),
  /** The frame at least so high over the hub as it stands, mm. */
  least: z.number().min(50).max(2000),
  leastTyped: typed,
  tolerance: z.number().min(0).max(100),
  toleranceTyped: typed,
});
export type NewSweep = z.infer<typeof newSweepSchema>;

/** One plan a sweep asks about, as it was then. */
export const sweptPlanSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  says: z.string(),
  /** For one vehicle, both sides. */
  parts: z.array(z.object({ what: z.string(), wanted: z.number(), price: z.number().nullable(), here: z.number() })),
});
export type SweptPlan = z.infer<typeof sweptPlanSchema>;

/** What is asked of every vehicle of a sweep, as it is stored with it. */
export const sweepAskSchema = newSweepSchema
  .omit({ id: true })
  .extend({ vehicle: z.string(), suspension: z.string(), plans: z.array(sweptPlanSchema).min(1).max(20) });
export type SweepAsk = z.infer<typeof sweepAskSchema>;

export const fleetLineSchema = z.object({
  jobAxleId: id,
  vehicle: z.string(),
  position: z.enum(AXLE_POSITIONS),
  verdict: z.enum(FLEET_VERDICTS),
  height: z.number().nullable(),
  plan: z.number().nullable(),
  after: z.number().nullable(),
  half90: z.number().nullable(),
  why: z.string(),
});
export type FleetLine = z.infer<typeof fleetLineSchema>;

/** Heights of a fleet, counted by so many mm. */
export const HEIGHT_STEP = 10;

/** A sweep with what it found so far. */
export interface Sweep {
  batch: Batch;
  ask: SweepAsk;
  counts: { verdict: FleetLine['verdict']; plan: number | null; vehicles: number }[];
  /** How many stand at which height, by steps from `from`. */
  heights: { from: number; vehicles: number; low: number }[];
  /** The lowest first, so many at the most. */
  lines: FleetLine[];
  failed: FailedPiece[];
}

/** A job whose plans may be swept with: it has one with changes, and was measured. */
export const sweepableSchema = z.object({
  jobAxleId: z.uuid(),
  vehicle: z.string(),
  position: z.enum(AXLE_POSITIONS),
  suspension: z.string(),
  plans: z.array(z.string()),
  /** Axles of this kind at this place of the shop's vehicles. */
  alike: z.number(),
});
export type Sweepable = z.infer<typeof sweepableSchema>;

/** What a sweep comes to at the counter: pieces wanted, on the shelf when it was asked, to order, and their price. */
export function stockOf({ ask, counts }: Pick<Sweep, 'ask' | 'counts'>) {
  const rows = new Map<string, { what: string; wanted: number; here: number; price: number | null }>();
  for (const { verdict, plan, vehicles } of counts) {
    if (verdict !== 'plan' || plan === null) continue;
    for (const { what, wanted, price, here } of ask.plans[plan]?.parts ?? []) {
      const was = rows.get(what);
      rows.set(what, { what, wanted: (was?.wanted ?? 0) + wanted * vehicles, here, price });
    }
  }
  return [...rows.values()].map((row) => ({
    ...row,
    order: Math.max(0, row.wanted - row.here),
    cost: row.price === null ? null : row.price * Math.max(0, row.wanted - row.here),
  }));
}
