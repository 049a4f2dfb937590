// What does not fit and was gone on with, and whether a job is closed. Append-only.
import { closingSchema, defectSchema, type EndDefect, type NewClosing, type NewDefect } from '@/contracts/defect';
import { type Tx } from './client';
import { sameAsStored } from './insertOnce';
import { JOB_OF } from './jobAxle';

export const jobDefects = (tx: Tx, id: string) =>
  tx.rows(
    defectSchema,
    `SELECT d.id, d.subject, d.what, d.reason, d.limits, to_char(d.due_on, 'YYYY-MM-DD') AS "dueOn", d.opened_at AS "openedAt",
            p.name AS person, e.ended_at AS "endedAt", e.evidence,
            (SELECT q.name FROM person q WHERE q.shop_id = e.shop_id AND q.id = e.person_id) AS "endedBy"
       FROM defect d JOIN person p ON p.shop_id = d.shop_id AND p.id = d.person_id
       LEFT JOIN defect_end e ON e.shop_id = d.shop_id AND e.defect_id = d.id
      WHERE d.job_axle_id = $1 ORDER BY d.opened_at, d.id`,
    [id],
  );

export async function insertDefect(tx: Tx, jobAxleId: string, d: NewDefect, what: string): Promise<void> {
  const made = await tx.run(
    `INSERT INTO defect (shop_id, id, job_axle_id, subject, what, reason, due_on, limits, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) ON CONFLICT (shop_id, id) DO NOTHING`,
    [tx.shop, d.id, jobAxleId, d.subject, what.slice(0, 300), d.reason, d.dueOn, d.limits, tx.person],
  );
  const { id, subject, reason } = d;
  // What is told of it was reckoned from the job as it stood then.
  if (made === 0) await sameAsStored(tx, 'defect', { id, job_axle_id: jobAxleId, subject, reason, due_on: d.dueOn });
}

/** Ends a defect once; who was first stays on record. */
export const endDefect = (tx: Tx, jobAxleId: string, d: EndDefect) =>
  tx.run(
    `INSERT INTO defect_end (shop_id, defect_id, job_axle_id, evidence, person_id)
     SELECT shop_id, id, job_axle_id, $3, $4 FROM defect WHERE job_axle_id = $1 AND id = $2
     ON CONFLICT (shop_id, defect_id) DO NOTHING`,
    [jobAxleId, d.id, d.evidence, tx.person],
  );

export const jobClosing = (tx: Tx, id: string) =>
  tx.rows(
    closingSchema,
    `SELECT c.closed, c.left_open AS "leftOpen", c.note, c.at, p.name AS person
       FROM job_close c JOIN person p ON p.shop_id = c.shop_id AND p.id = c.person_id
      WHERE c.job_id = ${JOB_OF} ORDER BY c.nth DESC LIMIT 1`,
    [id],
  );

export async function insertClosing(tx: Tx, jobId: string, c: NewClosing, leftOpen: readonly string[]): Promise<void> {
  const made = await tx.run(
    `INSERT INTO job_close (shop_id, id, job_id, closed, left_open, note, person_id) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (shop_id, id) DO NOTHING`,
    [tx.shop, c.id, jobId, c.closed, leftOpen, c.note, tx.person],
  );
  const { id, closed, note } = c;
  if (made === 0) await sameAsStored(tx, 'job_close', { id, job_id: jobId, closed, note });
}

/** Keeps on the job itself whether it is closed, as its last closing says. */
export const markClosed = (tx: Tx, jobId: string) =>
  tx.run(
    `UPDATE job j SET closed_at = (SELECT CASE WHEN c.closed THEN c.at END FROM job_close c
        WHERE c.shop_id = j.shop_id AND c.job_id = j.id ORDER BY c.nth DESC LIMIT 1) WHERE j.id = $1`,
    [jobId],
  );
