// Programs of others: their tokens, what they are given, and whom the shop tells of checks.
import { z } from 'zod';
import { checkSchema, hookSchema, OPERATIONS, programSchema } from '@/contracts/program';
import { type Scope } from '@/contracts/programScopes';
import { type Tx } from './client';

/** The program of a token, when it opens anything; seen before any shop is known. */
export async function programOf(tx: Tx) {
  const [found] = await tx.rows(
    z.object({
      shop: z.uuid(),
      id: z.uuid(),
      person: z.uuid(),
      name: z.string(),
      scopes: z.array(z.string()),
      stale: z.boolean(),
    }),
    `SELECT shop_id AS shop, id, made_by AS person, name, scopes, used_at IS NULL OR used_at < now() - interval '1 minute' AS stale
       FROM program_token WHERE revoked_at IS NULL AND ends_at > now()`,
  );
  return found;
}
export const sawProgram = (tx: Tx, id: string) =>
  tx.run('UPDATE program_token SET used_at = now() WHERE id = $1', [id]);

export const insertProgram = (
  tx: Tx,
  given: { id: string; name: string; scopes: readonly Scope[]; days: number },
  hash: Buffer,
) =>
  tx.run(
    `INSERT INTO program_token (shop_id, id, token_hash, name, scopes, made_by, ends_at)
     VALUES ($1, $2, $3, $4, $5, $6, now() + $7 * interval '1 day')`,
    [tx.shop, given.id, hash, given.name, given.scopes, tx.person, given.days],
  );
export const programs = (tx: Tx) =>
  tx.rows(
    programSchema,
    `SELECT t.id, t.name, t.scopes, p.name AS by, t.made_at AS "madeAt", t.ends_at AS "endsAt", t.used_at AS "usedAt" FROM program_token t
       JOIN person p ON p.shop_id = t.shop_id AND p.id = t.made_by WHERE t.revoked_at IS NULL ORDER BY t.made_at DESC LIMIT 100`,
  );
export const endProgram = (tx: Tx, id: string) =>
  tx.run('UPDATE program_token SET revoked_at = now() WHERE id = $1 AND revoked_at IS NULL', [id]);

export const insertHook = (tx: Tx, { id, url }: { id: string; url: string }, secret: string) =>
  tx.run('INSERT INTO hook (shop_id, id, url, secret, made_by) VALUES ($1, $2, $3, $4, $5)', [
    tx.shop,
    id,
    url,
    secret,
    tx.person,
  ]);
export const hooks = (tx: Tx) =>
  tx.rows(
    hookSchema,
    `SELECT h.id, h.url, p.name AS by, h.made_at AS "madeAt", w.* FROM hook h JOIN person p ON p.shop_id = h.shop_id AND p.id = h.made_by,
       LATERAL (SELECT count(*) FILTER (WHERE state = 'done')::int AS told, count(*) FILTER (WHERE state = 'waiting')::int AS waiting,
         count(*) FILTER (WHERE state = 'failed')::int AS failed, max(problem) FILTER (WHERE state <> 'done') AS problem
         FROM hook_word WHERE shop_id = h.shop_id AND hook_id = h.id) w
      WHERE h.ended_at IS NULL ORDER BY h.made_at DESC LIMIT 100`,
  );
export const endHook = (tx: Tx, id: string) =>
  tx.run('UPDATE hook SET ended_at = now() WHERE id = $1 AND ended_at IS NULL', [id]);

/** Shops that have something to tell, over all of them: the workers' one question that belongs to no shop. */
export const shopsToTell = (tx: Tx) =>
  tx.rows(z.object({ shop: z.uuid(), person: z.uuid() }), 'SELECT shop, person FROM shops_to_tell()');

/** Writes down every word that is to be said of checks that have fallen due; those that are new. */
export const wordsToSay = (tx: Tx) =>
  tx.rows(
    z.object({ id: z.uuid() }),
    `INSERT INTO hook_word (shop_id, hook_id, check_id, what)
     SELECT h.shop_id, h.id, d.id, 'check.due' FROM hook h JOIN due_check d ON d.shop_id = h.shop_id
      WHERE h.ended_at IS NULL AND d.open AND (d.due_on <= current_date OR d.passed)
     ON CONFLICT DO NOTHING RETURNING id`,
  );

const CHECK = `d.id, d.what, d.job_id AS "jobId", json_build_object('id', v.id, 'name', v.name) AS vehicle,
  to_char(d.due_on, 'YYYY-MM-DD') AS "dueOn", d.from_km + d.after_km AS "dueAtKm", d.passed`;
const OF_CHECK = `FROM due_check d JOIN job_axle x ON x.shop_id = d.shop_id AND x.job_id = d.job_id AND x.ordinal = 1
  JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id`;

export const openChecks = (tx: Tx, until: string | null) =>
  tx.rows(
    checkSchema,
    `SELECT ${CHECK} ${OF_CHECK} WHERE d.open AND ($1::date IS NULL OR d.due_on <= $1::date) ORDER BY d.due_on, d.id LIMIT 1000`,
    [until],
  );

/** A word that waits to be said, with its check and where it goes; nothing where it was said, or its hook ended. */
export async function wordOf(tx: Tx, id: string) {
  const [found] = await tx.rows(
    z.object({ url: z.string(), secret: z.string(), at: z.coerce.date(), check: checkSchema }),
    `SELECT h.url, h.secret, w.at, (SELECT row_to_json(c) FROM (SELECT ${CHECK} ${OF_CHECK} WHERE d.id = w.check_id) c) AS check
       FROM hook_word w JOIN hook h ON h.shop_id = w.shop_id AND h.id = w.hook_id
      WHERE w.id = $1 AND w.state = 'waiting' AND h.ended_at IS NULL`,
    [id],
  );
  return found;
}
export const wordSaid = (tx: Tx, id: string) =>
  tx.run("UPDATE hook_word SET state = 'done', problem = NULL, told_at = clock_timestamp() WHERE id = $1", [id]);
export const wordFailed = (tx: Tx, id: string, problem: string, last: boolean) =>
  tx.run(
    `UPDATE hook_word SET problem = coalesce($2, problem), state = CASE WHEN $3 THEN 'failed' ELSE state END WHERE id = $1 AND state = 'waiting'`,
    [id, problem === '' ? null : problem.slice(0, 300), last],
  );

/** Jobs as programs read them, the newest first. */
export const jobLines = (tx: Tx, open: 'yes' | 'no' | 'all', after: { at: string; id: string } | null, most: number) =>
  tx.rows(
    OPERATIONS.jobs.answer.shape.jobs.element.extend({ place: z.string() }),
    `SELECT j.id, j.created_at::text AS place, j.complaint, j.created_at AS "begunAt", j.closed_at AS "closedAt",
            json_build_object('id', v.id, 'name', v.name, 'maker', v.maker) AS vehicle,
            (SELECT json_agg(json_build_object('id', y.id, 'position', b.position, 'suspension', b.suspension,
                'wantedChangeMm', y.wanted_change_mm, 'toleranceMm', y.tolerance_mm) ORDER BY y.ordinal)
               FROM job_axle y JOIN axle b ON b.shop_id = y.shop_id AND b.id = y.axle_id
              WHERE y.shop_id = j.shop_id AND y.job_id = j.id AND NOT y.dropped) AS axles
       FROM job j JOIN job_axle x ON x.shop_id = j.shop_id AND x.job_id = j.id AND x.ordinal = 1
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE ($1 = 'all' OR (j.closed_at IS NULL) = ($1 = 'yes')) AND ($2::timestamptz IS NULL OR (j.created_at, j.id) < ($2, $3::uuid))
      ORDER BY j.created_at DESC, j.id DESC LIMIT $4`,
    [open, after?.at ?? null, after?.id ?? null, most],
  );
