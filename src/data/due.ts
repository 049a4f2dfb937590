// Checks that fall due, what was done of them, and how far a vehicle has been driven.
import { z } from 'zod';
import { dueSchema, odometerSchema, type Tick } from '@/contracts/due';
import { type Recheck } from '@/core/followup/rechecks';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';
import { JOB_OF } from './jobAxle';

/** Of a check `d` with the last word `l` on whether it was done. A tick of an earlier release stands in the check itself. */
export const DUE = `d.id, d.what, d.reads, d.source, d.after_km AS "afterKm", d.from_km AS "fromKm", to_char(d.due_on, 'YYYY-MM-DD') AS "dueOn",
  CASE WHEN l.done IS NULL THEN d.done_at WHEN l.done THEN l.at END AS "doneAt",
  (SELECT p.name FROM person p WHERE p.shop_id = d.shop_id
      AND p.id = CASE WHEN l.done IS NULL THEN d.done_by WHEN l.done THEN l.person_id END) AS "doneBy",
  coalesce(CASE WHEN l.done THEN l.figures END, '') AS figures`;

export const jobDue = (tx: Tx, id: string) =>
  tx.rows(
    dueSchema,
    `SELECT ${DUE} FROM due_check d LEFT JOIN LATERAL (
        SELECT t.* FROM due_done t WHERE t.shop_id = d.shop_id AND t.check_id = d.id ORDER BY t.nth DESC LIMIT 1) l ON true
      WHERE d.job_id = ${JOB_OF} ORDER BY d.due_on, d.what`,
    [id],
  );

/** Sets a check once; it counts from today and from the vehicle's odometer as it was read last. */
export const insertDue = (
  tx: Tx,
  id: string,
  jobId: string,
  { what, reads, afterKm, inDays, source = '' }: Recheck & { source?: string },
) =>
  tx.run(
    `INSERT INTO due_check (shop_id, id, job_id, what, after_km, due_on, reads, source, from_km)
     SELECT $1, $2, $3, $4, $5, current_date + $6::int, $7, $8,
            (SELECT o.km FROM odometer o JOIN axle a ON a.shop_id = o.shop_id AND a.vehicle_id = o.vehicle_id
               JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id WHERE x.job_id = $3 ORDER BY o.read_at DESC LIMIT 1)
     ON CONFLICT (shop_id, job_id, what) DO NOTHING`,
    [tx.shop, id, jobId, what, Math.round(afterKm), inDays, reads, source],
  );

export const dueCheck = (tx: Tx, id: string) =>
  tx.rows(
    z.object({ what: z.string(), jobId: z.uuid(), vehicleId: z.uuid() }),
    `SELECT d.what, d.job_id AS "jobId", a.vehicle_id AS "vehicleId" FROM due_check d
       JOIN job_axle x ON x.shop_id = d.shop_id AND x.job_id = d.job_id AND x.ordinal = 1
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id WHERE d.id = $1`,
    [id],
  );

export const insertTick = (tx: Tx, checkId: string, tick: Tick) =>
  insertOnce(tx, 'due_done', {
    ...{
      id: tick.id,
      check_id: checkId,
      done: tick.done,
      figures: tick.done ? tick.figures : '',
      person_id: tx.person,
    },
  });

/** Keeps on the check itself whether it is open, as its last tick says. */
export const markTicked = (tx: Tx, checkId: string) =>
  tx.run(
    `UPDATE due_check d SET open = NOT (SELECT t.done FROM due_done t
        WHERE t.shop_id = d.shop_id AND t.check_id = d.id ORDER BY t.nth DESC LIMIT 1) WHERE d.id = $1`,
    [checkId],
  );

export const vehicleOdometer = (tx: Tx, vehicleId: string) =>
  tx.rows(
    odometerSchema,
    'SELECT km, typed, read_at AS "readAt" FROM odometer WHERE vehicle_id = $1 ORDER BY read_at DESC LIMIT 1',
    [vehicleId],
  );

export const insertOdometer = (tx: Tx, id: string, vehicleId: string, km: number, typed: string) =>
  insertOnce(tx, 'odometer', { id, vehicle_id: vehicleId, km, typed, person_id: tx.person });

/** A check set before the odometer was read counts from the first reading after it. */
export const countFrom = (tx: Tx, vehicleId: string, km: number) =>
  tx.run(
    `UPDATE due_check d SET from_km = $2 FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
      WHERE d.shop_id = x.shop_id AND d.job_id = x.job_id AND x.ordinal = 1 AND a.vehicle_id = $1 AND d.from_km IS NULL`,
    [vehicleId, km],
  );

/** Keeps on a vehicle's checks whether it has been driven past their distance. @param km its odometer now */
export const markPassed = (tx: Tx, vehicleId: string, km: number) =>
  tx.run(
    `UPDATE due_check d SET passed = d.from_km + d.after_km <= $2
       FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
      WHERE d.shop_id = x.shop_id AND d.job_id = x.job_id AND x.ordinal = 1 AND a.vehicle_id = $1 AND d.from_km IS NOT NULL`,
    [vehicleId, km],
  );

/** Today where the shop is. */
export async function shopToday(tx: Tx): Promise<string> {
  const [row] = await tx.rows(z.object({ today: z.string() }), "SELECT to_char(current_date, 'YYYY-MM-DD') AS today");
  return row!.today;
}

/** Checks that a calendar of the shop tells at most. */
const MOST_TOLD = 2000;

/** Every check still to come, with its vehicle, the earliest first. */
export const openDue = (tx: Tx) =>
  tx.rows(
    z.object({ id: z.uuid(), what: z.string(), dueOn: z.string(), afterKm: z.number(), vehicle: z.string() }),
    `SELECT d.id, d.what, to_char(d.due_on, 'YYYY-MM-DD') AS "dueOn", d.after_km AS "afterKm", v.name AS vehicle
       FROM due_check d JOIN job_axle x ON x.shop_id = d.shop_id AND x.job_id = d.job_id AND x.ordinal = 1
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE d.open ORDER BY d.due_on, d.id LIMIT ${MOST_TOLD}`,
  );
