// The axles a job works on, and what each is made of. Stations, readings and plans are those of one axle of a job.
import { jobAxleSchema, type AxleAsk } from '@/contracts/jobAxle';
import { SEEN_VERSION, storedSeenSchema, type Seen } from '@/contracts/seen';
import { type Side } from '@/core/vehicle/side';
import { z } from 'zod';
import { type Tx } from './client';

/** The job that the axle $1 of a job belongs to: what is asked of the job as a whole is asked from any of its axles. */
export const JOB_OF = '(SELECT o.job_id FROM job_axle o WHERE o.id = $1)';

/** All axles of the job that the axle $1 belongs to, those taken up by mistake too. */
export const jobAxles = (tx: Tx, id: string) =>
  tx.rows(
    jobAxleSchema,
    `SELECT x.id, x.axle_id AS "axleId", a.position, a.suspension, x.ordinal, x.dropped
       FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
      WHERE x.job_id = ${JOB_OF} ORDER BY x.ordinal`,
    [id],
  );

/** What is seen of the axle, with its version. */
export const jobSeen = (tx: Tx, id: string) =>
  tx.rows(
    z.object({ seen: storedSeenSchema, seenVersion: z.number() }),
    'SELECT seen, seen_version AS "seenVersion" FROM job_axle WHERE id = $1',
    [id],
  );

/** 0 rows when it is another version by now. */
export const updateSeen = (tx: Tx, id: string, version: number, seen: Seen) =>
  tx.run('UPDATE job_axle SET seen = $3, seen_version = seen_version + 1 WHERE id = $1 AND seen_version = $2', [
    id,
    version,
    { ...seen, schemaVersion: SEEN_VERSION },
  ]);

/** Takes an axle into a job behind those it has; a second try changes nothing. */
export const insertJobAxle = (tx: Tx, id: string, jobId: string, axleId: string, ask: AxleAsk) =>
  tx.run(
    `INSERT INTO job_axle (shop_id, id, job_id, axle_id, ordinal, wanted_change_mm, wanted_typed, tolerance_mm, tolerance_typed,
                           guess_mm, guess_typed)
     SELECT $1, $2, $3, $4, 1 + coalesce(max(ordinal), 0), $5, $6, $7, $8, $9, $10 FROM job_axle WHERE job_id = $3
     ON CONFLICT DO NOTHING`,
    [
      tx.shop,
      id,
      jobId,
      axleId,
      ask.wantedChange,
      ask.wantedTyped,
      ask.tolerance,
      ask.toleranceTyped,
      ask.guess,
      ask.guessTyped,
    ],
  );

/** What is wanted of one axle; under the job's version, which the caller has claimed. */
export const updateAxleAsk = (tx: Tx, id: string, ask: AxleAsk) =>
  tx.run(
    `UPDATE job_axle SET wanted_change_mm = $2, wanted_typed = $3, tolerance_mm = $4, tolerance_typed = $5, guess_mm = $6,
            guess_typed = $7 WHERE id = $1`,
    [id, ask.wantedChange, ask.wantedTyped, ask.tolerance, ask.toleranceTyped, ask.guess, ask.guessTyped],
  );

/** Leaves an axle out of its job, or takes it up again; what was read of it stays. */
export const dropJobAxle = (tx: Tx, id: string, dropped: boolean) =>
  tx.run('UPDATE job_axle SET dropped = $2 WHERE id = $1', [id, dropped]);

/** A part of the axle; one that is there stays, one that was taken out comes back. */
export const putComponent = (
  tx: Tx,
  id: string,
  jobAxleId: string,
  c: { kind: string; ordinal: number; side?: Side | null },
) =>
  tx.run(
    `INSERT INTO component (shop_id, id, job_axle_id, side, kind, ordinal) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (shop_id, job_axle_id, side, kind, ordinal) DO UPDATE SET removed = false`,
    [tx.shop, id, jobAxleId, c.side ?? null, c.kind, c.ordinal],
  );

/** Takes out the parts of a kind beyond the first `count`; their readings stay. */
export const removeComponentsAbove = (tx: Tx, jobAxleId: string, kind: string, side: Side | null, count: number) =>
  tx.run(
    `UPDATE component SET removed = true
      WHERE job_axle_id = $1 AND kind = $2 AND side IS NOT DISTINCT FROM $3 AND ordinal > $4`,
    [jobAxleId, kind, side, count],
  );
