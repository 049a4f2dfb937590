// What a job costs.
import { z } from 'zod';
import { costLineSchema, type CostEdit } from '@/contracts/cost';
import { type Tx } from './client';
import { JOB_OF } from './jobAxle';

/** Both ends of a range stand in columns of their own. */
const row = z
  .looseObject({ plannedLow: z.number().nullable(), plannedHigh: z.number().nullable() })
  .transform(({ plannedLow, plannedHigh, minutesLow, minutesHigh, ...rest }) => ({
    ...rest,
    planned: plannedLow === null ? null : { low: plannedLow, high: plannedHigh },
    minutes: minutesLow === null ? null : { low: minutesLow, high: minutesHigh },
  }))
  .pipe(costLineSchema);

export const jobCosts = (tx: Tx, jobId: string) =>
  tx.rows(
    row,
    `SELECT c.id, c.what, c.count, c.condition, c.planned_low::double precision AS "plannedLow",
            c.planned_high::double precision AS "plannedHigh", c.planned_typed AS "plannedTyped",
            c.actual::double precision AS actual, c.minutes_low AS "minutesLow", c.minutes_high AS "minutesHigh",
            c.minutes_typed AS "minutesTyped", c.actual_minutes AS "actualMinutes", c.excluded, c.part_id AS "partId", c.version,
            c.updated_at AS "updatedAt", p.name AS person
       FROM cost_line c JOIN person p ON p.shop_id = c.shop_id AND p.id = c.person_id
      WHERE c.job_id = ${JOB_OF} ORDER BY c.what, c.id`,
    [jobId],
  );

const VALUES = (c: CostEdit) => [
  c.what,
  c.count,
  c.condition,
  c.planned?.low ?? null,
  c.planned?.high ?? null,
  c.plannedTyped,
  c.actual,
  c.minutes?.low ?? null,
  c.minutes?.high ?? null,
  c.minutesTyped,
  c.actualMinutes,
  c.excluded,
  c.partId,
];

/** A new line; 0 rows when its id is there already. */
export const insertCost = (tx: Tx, jobId: string, c: CostEdit) =>
  tx.run(
    `INSERT INTO cost_line (shop_id, id, job_id, person_id, what, count, condition, planned_low, planned_high, planned_typed,
                            actual, minutes_low, minutes_high, minutes_typed, actual_minutes, excluded, part_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17) ON CONFLICT DO NOTHING`,
    [tx.shop, c.id, jobId, tx.person, ...VALUES(c)],
  );

/** Changes a line that still is at its version; 0 rows otherwise. */
export const updateCost = (tx: Tx, jobId: string, c: CostEdit) =>
  tx.run(
    `UPDATE cost_line SET person_id = $4, what = $5, count = $6, condition = $7, planned_low = $8, planned_high = $9,
            planned_typed = $10, actual = $11, minutes_low = $12, minutes_high = $13, minutes_typed = $14, actual_minutes = $15,
            excluded = $16, part_id = $17, version = version + 1, updated_at = clock_timestamp()
      WHERE id = $1 AND job_id = $2 AND version = $3`,
    [c.id, jobId, c.version, tx.person, ...VALUES(c)],
  );
