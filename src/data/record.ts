// What a shop has open and has learnt over all its vehicles, and one vehicle over all its jobs.
import { z } from 'zod';
import {
  brokenSchema,
  historyHeightSchema,
  historyJobSchema,
  openDefectSchema,
  provenSchema,
  vehicleHistorySchema,
} from '@/contracts/record';
import { type Tx } from './client';

/** Lines that are told at most. */
const MOST = { defects: 500, proven: 1000, broken: 200, heights: 2000 } as const;

/** Defects that are not ended, the one due first leading. */
export const openDefectsOfShop = (tx: Tx) =>
  tx.rows(
    openDefectSchema,
    `SELECT d.id, d.job_axle_id AS "jobId", v.id AS "vehicleId", v.name AS vehicle, d.what, d.reason, d.limits,
            to_char(d.due_on, 'YYYY-MM-DD') AS "dueOn", p.name AS person
       FROM defect d JOIN job_axle x ON x.shop_id = d.shop_id AND x.id = d.job_axle_id
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
       JOIN person p ON p.shop_id = d.shop_id AND p.id = d.person_id
      WHERE NOT EXISTS (SELECT FROM defect_end e WHERE e.shop_id = d.shop_id AND e.defect_id = d.id)
      ORDER BY d.due_on, d.id LIMIT ${MOST.defects}`,
  );

/** Heights by the tape that were not corrected since, the newest first. */
export const provenHeights = (tx: Tx) =>
  tx.rows(
    provenSchema,
    `SELECT a.suspension, p.person_id = $1 AS own,
            CASE WHEN (SELECT h.scores_open FROM shop h WHERE h.id = o.shop_id) THEN
              (SELECT q.name FROM person q WHERE q.shop_id = p.shop_id AND q.id = p.person_id) END AS person,
            o.measured_mm - o.predicted_mm AS off, o.half90_mm AS half, o.inside,
            ARRAY(SELECT jsonb_array_elements_text(jsonb_path_query_array(p.inputs, '$.changes[*].kind'))) AS kinds,
            CASE WHEN s.wanted AND o.point = 'hubToLip' THEN
              o.measured_mm - x.guess_mm - (SELECT sum(l.value_mm) FROM ledger_line l WHERE l.shop_id = o.shop_id
                AND l.prediction_id = o.prediction_id AND l.load_state_id = o.load_state_id AND l.side = o.side
                AND l.kind IN ('measured', 'load')) END AS "guessOff",
            CASE WHEN o.point = 'hubToLip' THEN o.measured_mm - (SELECT sum(l.value_mm) FROM ledger_line l WHERE l.shop_id = o.shop_id
                AND l.prediction_id = o.prediction_id AND l.load_state_id = o.load_state_id AND l.side = o.side
                AND l.kind IN ('measured', 'load')) END AS rose,
            jsonb_build_object('arrangement', p.inputs->'arrangement', 'block', p.inputs#>'{block,value}',
              'shackle', p.inputs#>'{shackle,length,value}',
              'changes', (SELECT coalesce(jsonb_agg(jsonb_build_object('kind', c->'kind', 'height', c#>'{height,value}',
                  'length', c#>'{length,value}', 'thickness', c#>'{thickness,value}')), '[]')
                FROM jsonb_array_elements(p.inputs->'changes') c)) AS thumb
       FROM outcome o JOIN reading r ON r.shop_id = o.shop_id AND r.id = o.reading_id
       JOIN prediction p ON p.shop_id = o.shop_id AND p.id = o.prediction_id
       JOIN job_axle x ON x.shop_id = p.shop_id AND x.id = p.job_axle_id
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN load_state s ON s.shop_id = o.shop_id AND s.id = o.load_state_id
      WHERE NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      ORDER BY r.taken_at DESC LIMIT ${MOST.proven}`,
    [tx.person],
  );

/** Vehicles on which something broke, over the distance that is known of each. */
export const brokenVehicles = (tx: Tx) =>
  tx.rows(
    brokenSchema,
    `SELECT v.id AS "vehicleId", v.name AS vehicle, greatest(max(f.km), (SELECT max(o.km) FROM odometer o WHERE o.shop_id = v.shop_id AND o.vehicle_id = v.id)) AS "to",
            json_agg(json_build_object('place', f.place, 'km', f.km) ORDER BY f.km) AS failures
       FROM failure f JOIN vehicle v ON v.shop_id = f.shop_id AND v.id = f.vehicle_id
      GROUP BY v.shop_id, v.id, v.name ORDER BY count(*) DESC, v.name LIMIT ${MOST.broken}`,
  );

/** A vehicle over all its jobs; undefined when the shop has none such. */
export async function vehicleHistory(tx: Tx, vehicleId: string) {
  const [vehicle] = await tx.rows(z.object({ name: z.string() }), 'SELECT name FROM vehicle WHERE id = $1', [
    vehicleId,
  ]);
  if (!vehicle) return undefined;
  const heights = await tx.rows(
    historyHeightSchema,
    `SELECT a.position, h.side, h.point, s.name AS load, h.phase, h.value, h.at, p.name AS person
       FROM axle a JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id
       CROSS JOIN LATERAL (
        SELECT r.side, r.point, r.load_state_id, r.phase, r.value, r.taken_at AS at, r.person_id
          FROM reading r WHERE r.shop_id = x.shop_id AND r.job_axle_id = x.id AND r.point IN ('hubToLip', 'groundToLip')
           AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
        UNION ALL
        SELECT c.side, c.point, c.load_state_id, 'since', c.value_mm, c.read_at, c.person_id
          FROM settling_height c WHERE c.shop_id = x.shop_id AND c.job_axle_id = x.id) h
       JOIN load_state s ON s.shop_id = x.shop_id AND s.id = h.load_state_id
       JOIN person p ON p.shop_id = x.shop_id AND p.id = h.person_id
      WHERE a.vehicle_id = $1 ORDER BY h.at DESC LIMIT ${MOST.heights}`,
    [vehicleId],
  );
  const jobs = await tx.rows(
    historyJobSchema,
    `SELECT x.id, j.complaint, j.created_at AS "begunAt", j.closed_at AS "closedAt",
            ARRAY(SELECT f.plan_name FROM prediction f JOIN build_start b ON b.shop_id = f.shop_id AND b.prediction_id = f.id
                   JOIN job_axle y ON y.shop_id = b.shop_id AND y.id = b.job_axle_id
                  WHERE y.job_id = j.id AND f.plan_name IS NOT NULL ORDER BY y.ordinal) AS plans
       FROM job j JOIN job_axle x ON x.shop_id = j.shop_id AND x.job_id = j.id AND x.ordinal = 1
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
      WHERE a.vehicle_id = $1 ORDER BY j.created_at DESC LIMIT 200`,
    [vehicleId],
  );
  const of = vehicleHistorySchema.shape;
  const lessons = await tx.rows(
    of.lessons.element,
    `SELECT a.position, l.says, p.name AS person, l.learnt_at AS at
       FROM lesson l JOIN axle a ON a.shop_id = l.shop_id AND a.id = l.axle_id JOIN person p ON p.shop_id = l.shop_id AND p.id = l.person_id
      WHERE a.vehicle_id = $1 ORDER BY l.learnt_at DESC LIMIT 200`,
    [vehicleId],
  );
  const failures = await tx.rows(
    of.failures.element,
    'SELECT place, km, cause FROM failure WHERE vehicle_id = $1 ORDER BY km LIMIT 500',
    [vehicleId],
  );
  const odometers = await tx.rows(
    of.odometers.element,
    'SELECT km, read_at AS at FROM odometer WHERE vehicle_id = $1 ORDER BY read_at LIMIT 500',
    [vehicleId],
  );
  return { vehicle: vehicle.name, heights, jobs, lessons, failures, odometers };
}

export async function scoresOpen(tx: Tx): Promise<boolean> {
  const [row] = await tx.rows(z.object({ open: z.boolean() }), 'SELECT scores_open AS open FROM shop WHERE id = $1', [
    tx.shop,
  ]);
  return row?.open ?? false;
}

export const openScores = (tx: Tx, open: boolean) =>
  tx.run('UPDATE shop SET scores_open = $2 WHERE id = $1', [tx.shop, open]);
