// What the Board shows of many jobs at once.
import { z } from 'zod';
import { boardRowSchema } from '@/contracts/board';
import { type Tx } from './client';
import { DUE } from './due';

/** Checks named on the Board at most. */
const MOST_DUE = 40;
/** Jobs that a search names at most. */
const MOST_FOUND = 60;

/** Jobs whose check is due within a week, by day or by distance, and the newest of those in hand. */
const IN_SIGHT = `
  (SELECT d.job_id AS id FROM due_check d WHERE d.open AND d.due_on <= current_date + 7 ORDER BY d.due_on LIMIT ${MOST_DUE})
  UNION (SELECT d.job_id FROM due_check d WHERE d.open AND d.passed LIMIT ${MOST_DUE})
  UNION (SELECT j.id FROM job j WHERE j.closed_at IS NULL ORDER BY j.created_at DESC, j.id LIMIT $1)`;

/** Of the jobs a search found, the newest. */
const FOUND = `SELECT j.id FROM job j WHERE j.id = ANY ($1::uuid[]) ORDER BY j.created_at DESC, j.id LIMIT ${MOST_FOUND}`;

const rowsOf = (tx: Tx, picked: string, given: number | readonly string[]) =>
  tx.rows(
    boardRowSchema,
    `WITH picked AS MATERIALIZED (${picked}), axles AS MATERIALIZED (
       SELECT x.* FROM picked k JOIN job_axle x ON x.job_id = k.id WHERE NOT x.dropped
     ), last AS (
       SELECT DISTINCT ON (p.job_axle_id) p.id, p.job_axle_id FROM axles x JOIN prediction p ON p.job_axle_id = x.id
        ORDER BY p.job_axle_id, p.nth DESC
     ), foretold AS MATERIALIZED (
       SELECT l.job_axle_id,
              avg(t.value_mm - coalesce(m.value_mm, 0) - coalesce(w.value_mm, 0)) AS change,
              max(t.half90_mm) AS half
         FROM last l
         JOIN axles o ON o.id = l.job_axle_id
         JOIN load_state s ON s.job_id = o.job_id AND s.wanted
         JOIN ledger_line t ON t.prediction_id = l.id AND t.load_state_id = s.id AND t.kind = 'total'
         LEFT JOIN ledger_line m ON m.prediction_id = l.id AND m.load_state_id = s.id AND m.side = t.side AND m.kind = 'measured'
         LEFT JOIN ledger_line w ON w.prediction_id = l.id AND w.load_state_id = s.id AND w.side = t.side AND w.kind = 'load'
        GROUP BY l.job_axle_id
     )
     SELECT x.id, j.id AS "jobId", v.name AS vehicle, v.form, v.wheelbase_mm AS wheelbase, a.position AS axle, a.suspension, j.complaint,
            x.wanted_change_mm AS "wantedChange",
            (SELECT json_agg(json_build_object('position', b.position, 'suspension', b.suspension))
               FROM axle b WHERE b.shop_id = v.shop_id AND b.vehicle_id = v.id) AS axles,
            x.wanted_typed AS "wantedTyped", x.tolerance_mm AS tolerance, j.created_at AS "createdAt",
            (SELECT name FROM load_state s WHERE s.job_id = j.id AND s.wanted) AS "wantedState",
            f.change AS "predictedChange", f.half AS "predictedHalf",
            (SELECT count(*)::int FROM reading r WHERE r.job_axle_id = x.id AND r.phase = 'before') AS readings,
            (SELECT count(*)::int FROM plan p JOIN plan_change c ON c.plan_id = p.id WHERE p.job_axle_id = x.id AND p.current) AS changes,
            (SELECT count(*)::int FROM prediction p WHERE p.job_axle_id = x.id) AS predictions,
            EXISTS (SELECT FROM build_start b WHERE b.job_axle_id = x.id) AS built,
            (SELECT count(*)::int FROM outcome o JOIN prediction p ON p.id = o.prediction_id WHERE p.job_axle_id = x.id) AS outcomes,
            (SELECT count(*)::int FROM outcome o JOIN prediction p ON p.id = o.prediction_id
              WHERE p.job_axle_id = x.id AND NOT o.inside) AS outside,
            (SELECT row_to_json(n) FROM (SELECT ${DUE} FROM due_check d LEFT JOIN LATERAL (
                SELECT t.* FROM due_done t WHERE t.shop_id = d.shop_id AND t.check_id = d.id ORDER BY t.nth DESC LIMIT 1) l ON true
               WHERE d.job_id = j.id AND d.open ORDER BY d.due_on, d.what LIMIT 1) n) AS "nextDue",
            (SELECT row_to_json(n) FROM (SELECT ${DUE} FROM due_check d JOIN LATERAL (
                SELECT t.* FROM due_done t WHERE t.shop_id = d.shop_id AND t.check_id = d.id ORDER BY t.nth DESC LIMIT 1) l ON true
               WHERE d.job_id = j.id AND l.done ORDER BY l.nth DESC LIMIT 1) n) AS "lastDone",
            (SELECT o.km FROM odometer o WHERE o.shop_id = v.shop_id AND o.vehicle_id = v.id ORDER BY o.read_at DESC LIMIT 1) AS odometer,
            (SELECT count(*)::int FROM needed_part w WHERE w.shop_id = x.shop_id AND w.job_axle_id = x.id
               AND w.state IN ('toOrder', 'ordered')) AS waits,
            j.closed_at AS "closedAt"
       FROM axles x JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
       LEFT JOIN foretold f ON f.job_axle_id = x.id
      ORDER BY j.created_at DESC, j.id, x.ordinal`,
    [given],
  );

/** @param most jobs in hand, the newest first; what is due comes besides */
export const boardRows = (tx: Tx, most: number) => rowsOf(tx, IN_SIGHT, most);

export const boardFound = (tx: Tx, jobIds: readonly string[]) => rowsOf(tx, FOUND, jobIds);

/** How many jobs are open. */
export async function openJobs(tx: Tx): Promise<number> {
  const [row] = await tx.rows(
    z.object({ count: z.number() }),
    'SELECT count(*)::int AS count FROM job WHERE closed_at IS NULL',
  );
  return row!.count;
}
