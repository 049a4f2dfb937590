// Steps as they were ticked, what went wrong at them, and what stands out of the U-bolts' nuts. Append-only; the last of each counts.
import { z } from 'zod';
import { incidentSchema, legThreadSchema, type NewIncident, type NewLegThread } from '@/contracts/incident';
import { stepTickSchema, type NewStepTick } from '@/contracts/stepTick';
import { type Tx } from './client';
import { insertOnce, sameAsStored } from './insertOnce';

/** The last word of every step. Two that were said without knowing of one another, and say the opposite, are in dispute. */
export const jobTicks = (tx: Tx, id: string) =>
  tx.rows(
    stepTickSchema,
    `SELECT DISTINCT ON (t.step) t.step, t.done, t.note, t.ticked_at AS "tickedAt", p.name AS person,
            EXISTS (SELECT FROM step_tick o WHERE o.shop_id = t.shop_id AND o.job_axle_id = t.job_axle_id AND o.step = t.step
                      AND o.done <> t.done AND o.ticked_at < t.ticked_at AND o.ticked_at > t.made_at) AS disputed
       FROM step_tick t JOIN person p ON p.shop_id = t.shop_id AND p.id = t.person_id
      WHERE t.job_axle_id = $1 ORDER BY t.step, t.nth DESC`,
    [id],
  );

/** A tick that lay on a screen is kept with the moment it was made, by the server's clock. */
export async function insertTick(tx: Tx, jobAxleId: string, t: NewStepTick): Promise<void> {
  const row = { id: t.id, job_axle_id: jobAxleId, step: t.step, done: t.done, note: t.note };
  const made = await tx.run(
    `INSERT INTO step_tick (shop_id, id, job_axle_id, step, done, note, person_id, made_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, CASE WHEN $8::float > 0 THEN clock_timestamp() - make_interval(secs => $8::float) END)
     ON CONFLICT DO NOTHING`,
    [tx.shop, t.id, jobAxleId, t.step, t.done, t.note, tx.person, t.heldFor],
  );
  if (made === 0) await sameAsStored(tx, 'step_tick', row);
}

export const jobIncidents = (tx: Tx, id: string) =>
  tx.rows(
    incidentSchema,
    `SELECT i.id, i.step, i.kind, i.what, i.days, i.happened_at AS "happenedAt", p.name AS person
       FROM incident i JOIN person p ON p.shop_id = i.shop_id AND p.id = i.person_id
      WHERE i.job_axle_id = $1 ORDER BY i.happened_at`,
    [id],
  );

export const insertIncident = (tx: Tx, jobAxleId: string, i: NewIncident) =>
  insertOnce(tx, 'incident', {
    ...{
      id: i.id,
      job_axle_id: jobAxleId,
      step: i.step,
      kind: i.kind,
      what: i.what,
      days: i.days,
      person_id: tx.person,
    },
  });

/** The last reading of every leg, of each of what is read there. */
export const jobLegThreads = (tx: Tx, id: string) =>
  tx.rows(
    legThreadSchema,
    `SELECT DISTINCT ON (l.what, l.leg) l.what, l.leg, l.typed, l.value, l.read_at AS "readAt", p.name AS person
       FROM leg_thread l JOIN person p ON p.shop_id = l.shop_id AND p.id = l.person_id
      WHERE l.job_axle_id = $1 ORDER BY l.what, l.leg, l.nth DESC`,
    [id],
  );

export const insertLegThread = (tx: Tx, jobAxleId: string, l: NewLegThread) =>
  insertOnce(tx, 'leg_thread', { ...l, job_axle_id: jobAxleId, person_id: tx.person });

const gapSchema = z.object({ step: z.string(), minutes: z.number() });

/** Minutes between one tick and the next of the shop's jobs, by step without its side; a night or a lunch between is left out, and what went wrong is no step's usual time. */
export const stepGaps = (tx: Tx) =>
  tx.rows(
    gapSchema,
    `SELECT split_part(g.step, '.', 1) AS step, extract(epoch FROM g.ticked_at - g.since)::float / 60 AS minutes FROM (
        SELECT t.job_axle_id, t.step, t.ticked_at, lag(t.ticked_at) OVER (PARTITION BY t.job_axle_id ORDER BY t.ticked_at) AS since
          FROM step_tick t WHERE t.done AND t.made_at IS NULL AND t.ticked_at > now() - interval '2 years') g
      WHERE g.ticked_at - g.since BETWEEN interval '20 seconds' AND interval '90 minutes'
        AND NOT EXISTS (SELECT FROM incident i WHERE i.job_axle_id = g.job_axle_id AND i.happened_at BETWEEN g.since AND g.ticked_at)
      LIMIT 20000`,
  );
