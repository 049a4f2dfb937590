// Work in pieces: what was asked, which pieces there are, and what they came to. A piece is stored once, however often it was done.
import { z } from 'zod';
import { batchSchema, failedPieceSchema, type Batch } from '@/contracts/batch';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';
import { enqueue } from './queue';

/** Pieces of a shop that wait at most, all its batches together. */
export const MOST_WAITING = 5000;

const BATCH = `b.id, b.kind, b.name, b.asked_at AS "askedAt", b.cancelled_at AS "cancelledAt",
  (SELECT q.name FROM person q WHERE q.shop_id = b.shop_id AND q.id = b.person_id) AS person, p.*
  FROM batch b, LATERAL (SELECT count(*)::int AS pieces, count(*) FILTER (WHERE state = 'done')::int AS done,
    count(*) FILTER (WHERE state = 'failed')::int AS failed, max(done_at) AS "lastAt"
    FROM batch_piece WHERE shop_id = b.shop_id AND batch_id = b.id) p`;

/** The newest first. @param kind of one kind only */
export const batchesOfShop = (tx: Tx, kind: string | null, most = 40): Promise<Batch[]> =>
  tx.rows(batchSchema, `SELECT ${BATCH} WHERE $1::text IS NULL OR b.kind = $1 ORDER BY b.asked_at DESC LIMIT ${most}`, [
    kind,
  ]);

export async function batchOf(tx: Tx, id: string): Promise<Batch | undefined> {
  const [found] = await tx.rows(batchSchema, `SELECT ${BATCH} WHERE b.id = $1`, [id]);
  return found;
}

/** What a batch asks, and what was reckoned once for it. */
export async function askedOfBatch(tx: Tx, id: string) {
  const [found] = await tx.rows(
    z.object({ kind: z.string(), ask: z.unknown(), made: z.unknown(), cancelled: z.boolean() }),
    'SELECT kind, ask, made, cancelled_at IS NOT NULL AS cancelled FROM batch WHERE id = $1',
    [id],
  );
  return found;
}

export const waitingPieces = async (tx: Tx): Promise<number> =>
  (
    await tx.rows(
      z.object({ n: z.number() }),
      "SELECT count(*)::int AS n FROM batch_piece p JOIN batch b ON b.shop_id = p.shop_id AND b.id = p.batch_id WHERE p.state = 'waiting' AND b.cancelled_at IS NULL",
    )
  )[0]!.n;

/** Stores a batch with its pieces and puts them into the queue, all in one breath; nothing where it is there already. */
export async function insertBatch(
  tx: Tx,
  { id, kind, name, ask }: { id: string; kind: string; name: string; ask: object },
  pieces: readonly (readonly string[])[],
  before: number,
): Promise<void> {
  if (!(await insertOnce(tx, 'batch', { id, kind, name, ask, person_id: tx.person }))) return;
  await tx.run(
    `INSERT INTO batch_piece (shop_id, batch_id, nth, of)
     SELECT $1, $2, p.nth, ARRAY(SELECT jsonb_array_elements_text(p.of)::uuid) FROM jsonb_to_recordset($3) AS p (nth int, of jsonb)`,
    [tx.shop, id, JSON.stringify(pieces.map((of, nth) => ({ nth, of })))],
  );
  await enqueue(
    tx,
    pieces.map((_, nth) => ({ shop: tx.shop, person: tx.person, batch: id, nth })),
    before,
  );
}

/** What was reckoned for all pieces; the first one's counts. */
export const keepMade = (tx: Tx, id: string, made: unknown): Promise<number> =>
  tx.run('UPDATE batch SET made = $2 WHERE id = $1 AND made IS NULL', [id, JSON.stringify(made)]);

export async function pieceOf(tx: Tx, batchId: string, nth: number) {
  const [found] = await tx.rows(
    z.object({ of: z.array(z.uuid()), state: z.enum(['waiting', 'done', 'failed']) }),
    'SELECT of, state FROM batch_piece WHERE batch_id = $1 AND nth = $2',
    [batchId, nth],
  );
  return found;
}

/** A piece is done; false where it was already, and nothing of this try may be stored. */
export const finishPiece = async (tx: Tx, batchId: string, nth: number): Promise<boolean> =>
  (await tx.run(
    "UPDATE batch_piece SET state = 'done', problem = NULL, done_at = clock_timestamp() WHERE batch_id = $1 AND nth = $2 AND state <> 'done'",
    [batchId, nth],
  )) > 0;

export const losePiece = (tx: Tx, batchId: string, nth: number, problem: string): Promise<number> =>
  tx.run(
    "UPDATE batch_piece SET state = 'failed', problem = coalesce(problem, $3) WHERE batch_id = $1 AND nth = $2 AND state = 'waiting'",
    [batchId, nth, problem.slice(0, 500)],
  );

/** Why a try failed, told should it be the last. */
export const notePiece = (tx: Tx, batchId: string, nth: number, problem: string): Promise<number> =>
  tx.run("UPDATE batch_piece SET problem = $3 WHERE batch_id = $1 AND nth = $2 AND state = 'waiting'", [
    batchId,
    nth,
    problem.slice(0, 500),
  ]);

export const failedPieces = (tx: Tx, batchId: string) =>
  tx.rows(
    failedPieceSchema,
    `SELECT nth, coalesce(problem, '') AS problem, cardinality(of) AS of FROM batch_piece
      WHERE batch_id = $1 AND state = 'failed' ORDER BY nth LIMIT 100`,
    [batchId],
  );

/** Puts what came to nothing into the queue once more. */
export async function retryPieces(tx: Tx, batchId: string, before: number): Promise<void> {
  const again = await tx.rows(
    z.object({ nth: z.number() }),
    "UPDATE batch_piece SET state = 'waiting', problem = NULL WHERE batch_id = $1 AND state = 'failed' RETURNING nth",
    [batchId],
  );
  await enqueue(
    tx,
    again.map(({ nth }) => ({ shop: tx.shop, person: tx.person, batch: batchId, nth })),
    before,
  );
}

export const cancelBatch = (tx: Tx, id: string): Promise<number> =>
  tx.run('UPDATE batch SET cancelled_at = clock_timestamp() WHERE id = $1 AND cancelled_at IS NULL', [id]);
