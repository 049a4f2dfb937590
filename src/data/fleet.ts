// Every vehicle with the pack of one job, and what a sweep found of each.
import { z } from 'zod';
import { fleetLineSchema, HEIGHT_STEP, sweepableSchema, type FleetLine } from '@/contracts/fleet';
import { type Tx } from './client';

/** Lines told of a sweep at most. */
const MOST = 300;

/** The latest job of every axle of one kind at one place. */
export const axlesAlike = (tx: Tx, suspension: string, position: string) =>
  tx.rows(
    z.object({ id: z.uuid() }),
    `SELECT DISTINCT ON (x.axle_id) x.id FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
      WHERE a.suspension = $1 AND a.position = $2 AND NOT x.dropped ORDER BY x.axle_id, j.created_at DESC, j.id`,
    [suspension, position],
  );

/** Jobs whose plans may be swept with, the newest first. */
export const sweepableJobs = (tx: Tx) =>
  tx.rows(
    sweepableSchema,
    `SELECT x.id AS "jobAxleId", v.name AS vehicle, a.position, a.suspension, p.plans,
            (SELECT count(*)::int FROM axle o WHERE o.suspension = a.suspension AND o.position = a.position
               AND EXISTS (SELECT FROM job_axle y WHERE y.shop_id = o.shop_id AND y.axle_id = o.id)) AS alike
       FROM job_axle x JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id,
            LATERAL (SELECT array_agg(l.name ORDER BY l.made_at) AS plans FROM plan l WHERE l.shop_id = x.shop_id AND l.job_axle_id = x.id
                        AND EXISTS (SELECT FROM plan_change c WHERE c.shop_id = l.shop_id AND c.plan_id = l.id)) p
      WHERE NOT x.dropped AND p.plans IS NOT NULL ORDER BY j.created_at DESC, x.id LIMIT 100`,
  );

export async function insertFleetLines(
  tx: Tx,
  batchId: string,
  lines: readonly Omit<FleetLine, 'vehicle' | 'position'>[],
): Promise<void> {
  await tx.run(
    `INSERT INTO fleet_line (shop_id, batch_id, job_axle_id, verdict, height, plan, after, half90, why)
     SELECT $1, $2, l."jobAxleId", l.verdict, l.height, l.plan, l.after, l.half90, l.why
       FROM jsonb_to_recordset($3) AS l ("jobAxleId" uuid, verdict text, height float, plan int, after float, half90 float, why text)
     ON CONFLICT DO NOTHING`,
    [tx.shop, batchId, JSON.stringify(lines)],
  );
}

/** The lowest first: those a plan mends, then those none does, then what was not told. */
export const fleetLines = (tx: Tx, batchId: string) =>
  tx.rows(
    fleetLineSchema,
    `SELECT f.job_axle_id AS "jobAxleId", v.name AS vehicle, a.position, f.verdict, f.height, f.plan, f.after, f.half90, f.why
       FROM (SELECT * FROM fleet_line WHERE batch_id = $1 AND verdict <> 'stands'
              ORDER BY array_position(ARRAY['plan', 'none', 'unlike', 'notMeasured', 'workedOn'], verdict), height, job_axle_id LIMIT ${MOST}) f
       JOIN job_axle x ON x.shop_id = f.shop_id AND x.id = f.job_axle_id JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      ORDER BY array_position(ARRAY['plan', 'none', 'unlike', 'notMeasured', 'workedOn'], f.verdict), f.height, f.job_axle_id`,
    [batchId],
  );

export const fleetCounts = (tx: Tx, batchId: string) =>
  tx.rows(
    fleetLineSchema.pick({ verdict: true, plan: true }).extend({ vehicles: z.number() }),
    `SELECT verdict, CASE WHEN verdict = 'plan' THEN plan END AS plan, count(*)::int AS vehicles FROM fleet_line
      WHERE batch_id = $1 GROUP BY 1, 2 ORDER BY 1, 2`,
    [batchId],
  );

/** How many stand at which height, and how many of them are low. */
export const fleetHeights = (tx: Tx, batchId: string) =>
  tx.rows(
    z.object({ from: z.number(), vehicles: z.number(), low: z.number() }),
    `SELECT floor(height / ${HEIGHT_STEP})::int * ${HEIGHT_STEP} AS "from", count(*)::int AS vehicles,
            count(*) FILTER (WHERE verdict <> 'stands')::int AS low
       FROM fleet_line WHERE batch_id = $1 AND verdict IN ('stands', 'plan', 'none') GROUP BY 1 ORDER BY 1`,
    [batchId],
  );
