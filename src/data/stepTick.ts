import { stepTickSchema, type NewStepTick } from '@/contracts/stepTick';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';

/** The last word of every step. */
export const jobTicks = (tx: Tx, id: string) =>
  tx.rows(
    stepTickSchema,
    `SELECT DISTINCT ON (t.step) t.step, t.done, t.ticked_at AS "tickedAt", p.name AS person
       FROM step_tick t JOIN person p ON p.shop_id = t.shop_id AND p.id = t.person_id
      WHERE t.job_axle_id = $1 ORDER BY t.step, t.ticked_at DESC`,
    [id],
  );

export const insertTick = (tx: Tx, jobAxleId: string, t: NewStepTick) =>
  insertOnce(tx, 'step_tick', {
    ...{ id: t.id, job_axle_id: jobAxleId, step: t.step, done: t.done, person_id: tx.person },
  });
