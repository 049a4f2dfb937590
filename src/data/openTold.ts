// What was told last of what is open at a job, as long as nothing stirred it since.
import { z } from 'zod';
import { type Tx } from './client';

/** Which release told it. */
const RELEASE = process.env.GRAVELWORT_BUILD ?? 'unbuilt';
/** In which cluster: another one, into which a backup was restored, counts its transactions anew, and what was told elsewhere says nothing of them. */
const HERE = `|| ' ' || (SELECT system_identifier FROM pg_control_system())`;

const momentSchema = z.object({ seen: z.string(), writes: z.boolean() });
/** The moment of the database from which what is read next is told, and whether anything may be kept there. */
export type Moment = z.infer<typeof momentSchema>;

export const thisMoment = async (tx: Tx): Promise<Moment> =>
  (
    await tx.rows(
      momentSchema,
      `SELECT pg_current_snapshot()::text AS seen, current_setting('transaction_read_only') = 'off' AS writes`,
    )
  )[0]!;

/** What stands of what was told of these axles. */
export const openTold = (tx: Tx, jobAxleIds: readonly string[]) =>
  tx.rows(
    z.object({ id: z.uuid(), items: z.array(z.string()) }),
    `SELECT t.job_axle_id AS id, t.items FROM open_told t
      WHERE t.job_axle_id = ANY ($1::uuid[]) AND t.release = $2::text ${HERE} AND t.day = current_date
        AND NOT EXISTS (SELECT FROM job_stir s WHERE s.shop_id = t.shop_id AND s.job_id IN (t.job_id, '00000000-0000-0000-0000-000000000000')
              AND NOT pg_visible_in_snapshot(s.by_xid, t.seen))`,
    [jobAxleIds, RELEASE],
  );

/** Keeps what was told from a moment. Never in the way of whoever only looks: two that keep the same at once, or a database that takes nothing in, is no fault. */
export async function keepOpenTold(
  tx: Tx,
  { seen, writes }: Moment,
  told: readonly { id: string; jobId: string; items: readonly string[] }[],
): Promise<void> {
  if (!writes || told.length === 0) return;
  await tx.run('SAVEPOINT told');
  try {
    await tx.run(
      `INSERT INTO open_told (shop_id, job_axle_id, job_id, release, day, seen, items)
       SELECT $1, r.id, r."jobId", $2::text ${HERE}, current_date, $3::pg_snapshot, ARRAY(SELECT jsonb_array_elements_text(r.items))
         FROM jsonb_to_recordset($4) AS r (id uuid, "jobId" uuid, items jsonb)
       ON CONFLICT (shop_id, job_axle_id) DO UPDATE
         SET release = excluded.release, day = excluded.day, seen = excluded.seen, items = excluded.items`,
      [tx.shop, RELEASE, seen, JSON.stringify(told)],
    );
    // What was told stands for its day only; what stirred before that day is of no use any more.
    await tx.run("DELETE FROM job_stir WHERE at < now() - interval '3 days'");
    await tx.run('RELEASE SAVEPOINT told');
  } catch {
    await tx.run('ROLLBACK TO SAVEPOINT told');
  }
}
