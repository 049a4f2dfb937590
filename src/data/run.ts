// Runs over many jobs: what they are about, what they found, and the files they take and make.
import { z } from 'zod';
import { deadSchema, runLineSchema, type RunLine } from '@/contracts/run';
import { type Tx } from './client';
import { sameAsStored } from './insertOnce';

/** Lines told of a run at most, and things one run is about. */
const MOST = { lines: 300, things: 20_000, papers: 500 };

const idSchema = z.object({ id: z.uuid() });

/** The last prediction of every axle in its job. @param core only those that another core made; null for all */
export const lastPredictions = (tx: Tx, core: string | null) =>
  tx.rows(
    idSchema,
    `SELECT id FROM (SELECT DISTINCT ON (job_axle_id) id, core_version, made_at FROM prediction ORDER BY job_axle_id, nth DESC) p
      WHERE $1::text IS NULL OR core_version <> $1 ORDER BY made_at DESC LIMIT ${MOST.things}`,
    [core],
  );

/** Axles whose jobs are open and have a plan, or were closed in the last 90 days; the newest first. */
export const axlesForPapers = (tx: Tx, of: 'planned' | 'closed') =>
  tx.rows(
    idSchema,
    `SELECT x.id FROM job j JOIN job_axle x ON x.shop_id = j.shop_id AND x.job_id = j.id AND NOT x.dropped
      WHERE ${
        of === 'planned'
          ? `j.closed_at IS NULL AND EXISTS (SELECT FROM plan p JOIN plan_change c ON c.shop_id = p.shop_id AND c.plan_id = p.id
               WHERE p.shop_id = x.shop_id AND p.job_axle_id = x.id AND p.current)`
          : `j.closed_at > now() - interval '90 days'`
      } ORDER BY j.created_at DESC, x.id LIMIT ${MOST.papers}`,
  );

/** Axles whose heights were read after the work. */
export const provenAxles = (tx: Tx) =>
  tx.rows(
    idSchema,
    `SELECT DISTINCT p.job_axle_id AS id FROM outcome o JOIN prediction p ON p.shop_id = o.shop_id AND p.id = o.prediction_id LIMIT ${MOST.things}`,
  );

export const axleOfPrediction = async (tx: Tx, id: string): Promise<string | undefined> =>
  (await tx.rows(idSchema, 'SELECT job_axle_id AS id FROM prediction WHERE id = $1', [id]))[0]?.id;

export type NewRunLine = Omit<RunLine, 'vehicle'>;

export async function insertRunLines(tx: Tx, batchId: string, lines: readonly NewRunLine[]): Promise<void> {
  await tx.run(
    `INSERT INTO run_line (shop_id, batch_id, of, job_axle_id, verdict, was, now, half90, says)
     SELECT $1, $2, l.of, l."jobAxleId", l.verdict, l.was, l.now, l.half90, l.says
       FROM jsonb_to_recordset($3) AS l (of uuid, "jobAxleId" uuid, verdict text, was float, now float, half90 float, says text)
     ON CONFLICT DO NOTHING`,
    [tx.shop, batchId, JSON.stringify(lines.map((l) => ({ ...l, says: l.says.slice(0, 300) })))],
  );
}

/** What asks for a look first: what moved most, what was refused, what nothing explains. */
export const runLines = (tx: Tx, batchId: string) =>
  tx.rows(
    runLineSchema,
    `SELECT l.of, l.job_axle_id AS "jobAxleId", v.name AS vehicle, l.verdict, l.was, l.now, l.half90, l.says
       FROM run_line l LEFT JOIN job_axle x ON x.shop_id = l.shop_id AND x.id = l.job_axle_id
       LEFT JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id LEFT JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE l.batch_id = $1
      ORDER BY array_position(ARRAY['cannot', 'refused', 'lookAgain', 'likely', 'moves', 'several'], l.verdict) NULLS LAST,
               abs(coalesce(l.now, 0) - coalesce(l.was, 0)) DESC, l.of LIMIT ${MOST.lines}`,
    [batchId],
  );

/** How many lines of each verdict; a likely cause by its own name. */
export const runCounts = (tx: Tx, batchId: string) =>
  tx.rows(
    z.object({ verdict: z.string(), says: z.string().nullable(), lines: z.number() }),
    `SELECT verdict, CASE WHEN verdict = 'likely' THEN says END AS says, count(*)::int AS lines FROM run_line
      WHERE batch_id = $1 GROUP BY 1, 2 ORDER BY 3 DESC`,
    [batchId],
  );

/** What came to nothing in all runs of the shop, the newest first. */
export const deadOfShop = (tx: Tx) =>
  tx.rows(
    deadSchema,
    `SELECT b.id AS batch, b.kind, b.name, coalesce(max(p.problem), '') AS problem, count(*)::int AS pieces
       FROM batch_piece p JOIN batch b ON b.shop_id = p.shop_id AND b.id = p.batch_id
      WHERE p.state = 'failed' GROUP BY b.shop_id, b.id, b.kind, b.name ORDER BY max(b.asked_at) DESC LIMIT 40`,
  );

export interface NewRunFile {
  batch: string;
  id: string;
  way: 'in' | 'out';
  name: string;
  sha256: string;
  body: Buffer;
}
/** Keeps a file; the same again under its id is nothing new, another one is refused. */
export async function insertRunFile(tx: Tx, { batch, id, way, name, sha256, body }: NewRunFile): Promise<void> {
  const made = await tx.run(
    `INSERT INTO run_file (shop_id, batch_id, id, way, name, sha256, body, person_id) VALUES ($1, $2, $3, $4, $5, $6, $7, $8)
     ON CONFLICT DO NOTHING`,
    [tx.shop, batch, id, way, name, sha256, body, tx.person],
  );
  if (made === 0) await sameAsStored(tx, 'run_file', { id, batch_id: batch, way, name, sha256 });
}

const runFileSchema = z.object({ id: z.uuid(), name: z.string(), body: z.instanceof(Buffer) });
export const runFile = async (tx: Tx, id: string) =>
  (await tx.rows(runFileSchema, "SELECT id, name, body FROM run_file WHERE id = $1 AND way = 'in'", [id]))[0];

export const filesMade = (tx: Tx, batch: string) =>
  tx.rows(runFileSchema, "SELECT id, name, body FROM run_file WHERE batch_id = $1 AND way = 'out' ORDER BY name, id", [
    batch,
  ]);

export const countFilesMade = async (tx: Tx, batch: string): Promise<number> =>
  (
    await tx.rows(
      z.object({ n: z.number() }),
      "SELECT count(*)::int AS n FROM run_file WHERE batch_id = $1 AND way = 'out'",
      [batch],
    )
  )[0]!.n;

export const filesSent = (tx: Tx, batch: string) =>
  tx.rows(
    z.object({ id: z.uuid(), name: z.string() }),
    "SELECT id, name FROM run_file WHERE batch_id = $1 AND way = 'in' ORDER BY at",
    [batch],
  );

/** Files of the shop that were sent and not taken in yet. */
export const filesWaiting = async (tx: Tx): Promise<number> =>
  (await tx.rows(z.object({ n: z.number() }), "SELECT count(*)::int AS n FROM run_file WHERE way = 'in'"))[0]!.n;

export const dropRunFile = (tx: Tx, id: string) => tx.run('DELETE FROM run_file WHERE id = $1', [id]);

/** Files that were sent and never asked for, or made and not wanted any more. */
export const dropOldFiles = (tx: Tx) => tx.run("DELETE FROM run_file WHERE at < now() - interval '7 days'");
