// What a worker does with one piece of a run, each in its own way.
import { createHash, randomUUID } from 'node:crypto';
import { ProblemError } from '@/contracts/problem';
import { newRunSchema } from '@/contracts/run';
import { storedResultSchema } from '@/contracts/stored';
import { CoreError } from '@/core/errors';
import { finish } from '@/core/finish';
import { CAUSES } from '@/core/followup/causes';
import { bandsOfAxle, leversOfAxle, predictAxle } from '@/core/suspension/solvers';
import { SIDES } from '@/core/vehicle/side';
import { type Tx } from '@/data/client';
import { predictionRecord } from '@/data/plan';
import * as runs from '@/data/run';
import { uniformFrom } from '@/workers/random';
import { bringIn } from './files/jobBundle';
import { printFile } from './files/prints';
import { type InTx } from './http';
import { loadJob } from './jobs';
import { residualOf } from './prove';

export interface Piece {
  inShop: InTx;
  batch: string;
  ask: unknown;
  of: readonly string[];
  /** Marks the piece as done, in the transaction that stores what it came to; false where it was done already and nothing is to be stored. */
  finish: (tx: Tx) => Promise<boolean>;
}

/** A figure that moves by less is the same to whoever reads it, mm. Chosen. */
const SAME = 0.5;

async function storedWith(
  { inShop, batch, finish: done }: Piece,
  lines: readonly runs.NewRunLine[],
  more?: (tx: Tx) => Promise<void>,
) {
  await inShop(async (tx) => {
    if (!(await done(tx))) return;
    await more?.(tx);
    await runs.insertRunLines(tx, batch, lines);
  });
}

/** The total of every side and load state, with its half-width. */
function totals({ prediction, bands }: ReturnType<typeof storedResultSchema.parse>) {
  return SIDES.flatMap((side) =>
    (prediction.sides[side]?.states ?? []).map((state, k) => ({
      total: Number((state as { after?: number | null }).after ?? (state as { change: number }).change),
      half: bands[side]?.[k]?.half ?? null,
    })),
  );
}

/** Predictions solved once more, from what they were solved from, with the same draws. What is stored stays as it is. */
export async function predictAgain(piece: Piece): Promise<void> {
  const lines: runs.NewRunLine[] = [];
  for (const id of piece.of) {
    const [record, axle] = await piece.inShop(
      async (tx) => [(await predictionRecord(tx, id).catch(() => []))[0], await runs.axleOfPrediction(tx, id)] as const,
    );
    const line = { of: id, jobAxleId: axle ?? null, was: null, now: null, half90: null };
    if (!record) {
      lines.push({ ...line, verdict: 'cannot', says: 'its record is of no kind known here' });
      continue;
    }
    try {
      const prediction = finish(predictAxle(record.inputs, true));
      const bands = finish(bandsOfAxle(record.inputs, prediction, uniformFrom(record.seed), record.samples));
      const now = totals(storedResultSchema.parse(JSON.parse(JSON.stringify({ schemaVersion: 1, prediction, bands }))));
      const was = totals(record.result);
      const worst = now
        .map((n, k) => ({ ...n, was: was[k]?.total ?? NaN }))
        .reduce((p, q) => (Math.abs(q.total - q.was) > Math.abs(p.total - p.was) ? q : p));
      const moves = !(Math.abs(worst.total - worst.was) < SAME);
      lines.push({
        ...{ of: id, jobAxleId: axle ?? null, verdict: moves ? 'moves' : 'same', was: worst.was, now: worst.total },
        ...{ half90: worst.half, says: `by core ${record.coreVersion}` },
      });
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      lines.push({ ...line, verdict: 'cannot', says: error.message });
    }
  }
  await storedWith(piece, lines);
}

/** One sheet of each job as PDF. */
export async function printPapers(piece: Piece): Promise<void> {
  const ask = newRunSchema.parse(piece.ask);
  if (ask.kind !== 'papers') throw new Error('not asked for papers');
  const made: runs.NewRunFile[] = [];
  const lines: runs.NewRunLine[] = [];
  for (const id of piece.of) {
    const line = { of: id, jobAxleId: id, was: null, now: null, half90: null };
    try {
      const file = await piece.inShop((tx) => printFile(tx, id, new URLSearchParams({ what: ask.what })));
      const body = Buffer.from(file.body);
      const sha256 = createHash('sha256').update(body).digest('hex');
      made.push({ batch: piece.batch, id: randomUUID(), way: 'out', name: file.name, sha256, body });
      lines.push({ ...line, verdict: 'made', says: file.name });
    } catch (error) {
      if (!(error instanceof ProblemError) || error.status >= 500) throw error;
      lines.push({ ...line, verdict: 'cannot', says: error.problem.message });
    }
  }
  await storedWith(piece, lines, async (tx) => {
    for (const file of made) await runs.insertRunFile(tx, file);
  });
}

/** Where the heights of each job may come from. */
export async function studyResiduals(piece: Piece): Promise<void> {
  const lines: runs.NewRunLine[] = [];
  for (const id of piece.of) {
    const line = { of: id, jobAxleId: id, was: null, now: null, half90: null };
    try {
      const levers: Parameters<typeof residualOf>[3] = (input, heights) =>
        Promise.resolve(finish(leversOfAxle(input, heights)));
      const [told, view] = [
        await residualOf(piece.inShop, id, {}, levers),
        await piece.inShop((tx) => loadJob(tx, id)),
      ];
      const worst = told.heights.reduce((p, q) => (Math.abs(q.off) > Math.abs(p.off) ? q : p));
      const outcome = view.outcomes.find((o) => o.side === worst.side && o.stateId === worst.stateId);
      const [first] = told.causes;
      lines.push({
        ...{
          of: id,
          jobAxleId: id,
          verdict: told.verdict,
          was: outcome?.predicted ?? null,
          now: outcome?.measured ?? null,
        },
        ...{
          half90: outcome?.half90 ?? null,
          says: told.verdict === 'usual' || !first ? '' : CAUSES[first.cause].name,
        },
      });
    } catch (error) {
      if (!(error instanceof CoreError) && !(error instanceof ProblemError && error.status < 500)) throw error;
      lines.push({ ...line, verdict: 'cannot', says: error.message });
    }
  }
  await storedWith(piece, lines);
}

/** A job of another shop, whole in one transaction with the piece's being done, or not at all with the reason. */
export async function takeIn(piece: Piece): Promise<void> {
  const [id] = piece.of;
  const file = await piece.inShop((tx) => runs.runFile(tx, id!));
  const line = { of: id!, jobAxleId: null, was: null, now: null, half90: null };
  if (!file) {
    await storedWith(piece, [{ ...line, verdict: 'refused', says: 'the file is gone' }]);
    return;
  }
  try {
    await bringIn(
      (work) =>
        piece.inShop(async (tx) => {
          const came = await work(tx);
          if (!(await piece.finish(tx))) throw new DoneAlready();
          const { jobId, vehicle } = came as { jobId: string; vehicle: string };
          await runs.insertRunLines(tx, piece.batch, [
            { ...line, jobAxleId: jobId, verdict: 'came', says: `${file.name}: ${vehicle}` },
          ]);
          await runs.dropRunFile(tx, id!);
          return came;
        }),
      file.body,
    );
  } catch (error) {
    if (error instanceof DoneAlready) return;
    if (!(error instanceof ProblemError) || error.status >= 500) throw error;
    const says = `${file.name}: ${error.problem.message.replace(/^This file was not taken in: |\. Nothing was changed\.$/g, '')}`;
    await storedWith(piece, [{ ...line, verdict: 'refused', says }], (tx) =>
      runs.dropRunFile(tx, id!).then(() => undefined),
    );
  }
}

class DoneAlready extends Error {}
