// Torque: what each joint is to get, and what the wrench read at each bolt. Append-only; the last of each counts.
import { torqueReadingSchema, torqueSchema, type NewTorque, type NewTorqueReading } from '@/contracts/torque';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';

export const jobTorques = (tx: Tx, id: string) =>
  tx.rows(
    torqueSchema,
    `SELECT DISTINCT ON (t.joint) t.joint, t.typed, t.value_nmm AS value, t.unit, t.source, t.lubrication, t.stage, t.running_nmm AS running, t.running_typed AS "runningTyped",
            t.entered_at AS "enteredAt", p.name AS person
       FROM torque_entry t JOIN person p ON p.shop_id = t.shop_id AND p.id = t.person_id
      WHERE t.job_axle_id = $1 ORDER BY t.joint, t.nth DESC`,
    [id],
  );

export const insertTorque = (tx: Tx, jobAxleId: string, t: NewTorque) =>
  insertOnce(tx, 'torque_entry', {
    ...{ id: t.id, job_axle_id: jobAxleId, joint: t.joint, typed: t.typed, value_nmm: t.value, unit: t.unit },
    ...{ source: t.source, lubrication: t.lubrication, stage: t.stage, person_id: tx.person },
    ...{ running_nmm: t.running, running_typed: t.runningTyped },
  });

/** The last reading of every bolt. Those of earlier releases named no bolt; they stand with the joint. */
export const jobTorqueReadings = (tx: Tx, id: string) =>
  tx.rows(
    torqueReadingSchema,
    `SELECT DISTINCT ON (r.joint, r.bolt) r.id, r.joint, r.bolt, r.typed, r.value_nmm AS value, r.unit, r.state, r.instrument,
            r.read_at AS "readAt", p.name AS person
       FROM torque_reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_axle_id = $1 ORDER BY r.joint, r.bolt, r.nth DESC`,
    [id],
  );

export const insertTorqueReading = (tx: Tx, jobAxleId: string, r: NewTorqueReading) =>
  insertOnce(tx, 'torque_reading', {
    ...{ id: r.id, job_axle_id: jobAxleId, joint: r.joint, bolt: r.bolt, typed: r.typed, value_nmm: r.value },
    ...{ unit: r.unit, state: r.state, instrument: r.instrument, person_id: tx.person },
  });
