// Runs over many jobs: asked for here, done by whichever workers there are (server/runPieces).
import { createHash } from 'node:crypto';
import { type Batch } from '@/contracts/batch';
import { isOver } from '@/contracts/batchOver';
import { notFound, ProblemError } from '@/contracts/problem';
import { type Dead, type NewImport, type NewRun, type Run } from '@/contracts/run';
import { MOST_FILES, PAPER_JOBS, PAPERS } from '@/contracts/runNames';
import { CORE_VERSION } from '@/core/version';
import * as batches from '@/data/batch';
import { type Tx } from '@/data/client';
import * as runs from '@/data/run';
import { type InTx, type MadeFile } from './http';
import { zipped } from './files/zip';

/** Things of one piece: some seconds of a worker's time. */
const PIECE = { again: 5, papers: 10, residuals: 5, bundles: 1 } as const;

const bad = (message: string, field: string) => new ProblemError(422, { code: 'bad-input', message, field });

/** All that ran, the newest first, what came to nothing, and the newest run that is no sweep. */
export async function runsPage(tx: Tx): Promise<{ runs: Batch[]; dead: Dead[]; first: Run | null; core: string }> {
  const all = await batches.batchesOfShop(tx, null);
  const newest = all.find((b) => b.kind !== 'fleet');
  return {
    ...{ runs: all, dead: await runs.deadOfShop(tx), core: CORE_VERSION },
    first: newest ? await runOf(tx, newest.id) : null,
  };
}

/** A run as far as it is. */
export async function runOf(tx: Tx, id: string): Promise<Run> {
  const batch = await batches.batchOf(tx, id);
  if (!batch || batch.kind === 'fleet') throw notFound('This run');
  return {
    ...{ batch, counts: await runs.runCounts(tx, id), lines: await runs.runLines(tx, id) },
    ...{ failed: await batches.failedPieces(tx, id), files: await runs.countFilesMade(tx, id) },
  };
}

const NOTHING: Record<NewRun['kind'], string> = {
  again: 'No prediction was made by an earlier core.',
  papers: 'No job is like that just now.',
  residuals: 'No height was read after the work yet.',
};

/** Asks a run: stored with its pieces. */
export async function askRun(tx: Tx, given: NewRun): Promise<Run> {
  const { id, kind } = given;
  const [name, of] =
    kind === 'again'
      ? [
          given.which === 'all' ? 'all predictions' : `predictions of cores before ${CORE_VERSION}`,
          await runs.lastPredictions(tx, given.which === 'all' ? null : CORE_VERSION),
        ]
      : kind === 'papers'
        ? [`${PAPERS[given.what]} of ${PAPER_JOBS[given.of]}`, await runs.axlesForPapers(tx, given.of)]
        : ['heights read after the work', await runs.provenAxles(tx)];
  const known = await batches.batchOf(tx, id);
  if (of.length === 0 && !known) throw bad(NOTHING[kind], 'kind');
  await put(
    tx,
    { id, kind, name, ask: given },
    of.map((o) => o.id),
  );
  return runOf(tx, id);
}

async function put(
  tx: Tx,
  batch: { id: string; kind: keyof typeof PIECE; name: string; ask: object },
  of: readonly string[],
): Promise<void> {
  const size = PIECE[batch.kind];
  const pieces = Array.from({ length: Math.ceil(of.length / size) }, (_, k) => of.slice(k * size, (k + 1) * size));
  const waiting = await batches.waitingPieces(tx);
  if (waiting + pieces.length > batches.MOST_WAITING)
    throw new ProblemError(409, {
      code: 'full',
      message: 'Too much waits already: let a run come to its end, or stop one.',
    });
  await batches.insertBatch(tx, batch, pieces, waiting);
}

/** Keeps a file that a run is to take in. @param query of the run and the file */
export async function sendFile(inTx: InTx, body: Buffer, query: URLSearchParams): Promise<{ id: string }> {
  const [batch, id, name] = ['run', 'file', 'name'].map((key) => query.get(key) ?? '') as [string, string, string];
  const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
  if (!UUID.test(batch) || !UUID.test(id) || name.trim() === '' || body.length === 0)
    throw bad('A run, a file with something in it and its name are needed.', 'file');
  return inTx(async (tx) => {
    await runs.dropOldFiles(tx);
    if ((await runs.filesSent(tx, batch)).length >= MOST_FILES) throw bad(`A run takes ${MOST_FILES} files.`, 'file');
    if ((await runs.filesWaiting(tx)) >= 2 * MOST_FILES) throw bad('Many files wait already: run them first.', 'file');
    const sha256 = createHash('sha256').update(body).digest('hex');
    await runs.insertRunFile(tx, { batch, id, way: 'in', name: name.slice(0, 160), sha256, body });
    return { id };
  });
}

/** Takes in jobs of other shops whose files were sent. */
export async function askImport(tx: Tx, { id, files }: NewImport): Promise<Run> {
  const sent = await runs.filesSent(tx, id);
  const known = await batches.batchOf(tx, id);
  if (!known && files.some((f) => !sent.some((s) => s.id === f)))
    throw bad('A file did not come. Send it again.', 'files');
  await put(
    tx,
    { id, kind: 'bundles', name: `${files.length} ${files.length === 1 ? 'file' : 'files'}`, ask: { id, files } },
    files,
  );
  return runOf(tx, id);
}

/** Stops a run, or has what came to nothing done once more. */
export async function changeRun(tx: Tx, id: string, { act }: { act: 'stop' | 'again' }): Promise<Run> {
  const { batch } = await runOf(tx, id);
  if (act === 'stop') {
    if (!isOver(batch)) await batches.cancelBatch(tx, id);
  } else if (batch.cancelledAt !== null) throw bad('This run was stopped; ask for a new one.', 'act');
  else await batches.retryPieces(tx, id, await batches.waitingPieces(tx));
  return runOf(tx, id);
}

/** All that a run printed, in one file. */
export async function filesOfRun(tx: Tx, id: string): Promise<MadeFile> {
  const { batch } = await runOf(tx, id);
  const made = await runs.filesMade(tx, id);
  if (made.length === 0) throw notFound('A file of this run');
  const body = await zipped(
    made.map(({ name, body: bytes }, k) => ({
      name: `${String(k + 1).padStart(3, '0')}-${name}`,
      body: bytes,
      compress: true,
    })),
  );
  return { type: 'application/zip', name: `${batch.kind}.zip`, body };
}
