import { reachOf } from '@/core/prediction/reach';
import { randomInt } from 'node:crypto';
import { assembledOf } from '@/contracts/sheet';
import { type JobView } from '@/contracts/job';
import { planText } from '@/contracts/planText';
import { conflict, ProblemError, taken } from '@/contracts/problem';
import { SIDES } from '@/core/vehicle/side';
import { lacksOf } from '@/core/suspension/registry';
import { CORE_VERSION } from '@/core/version';
import { insertLedgers, insertPrediction } from '@/data/plan';
import { loadJob } from './jobs';
import { solveInThread, STORED_SAMPLES } from './solve';
import { type InTx } from './http';
import { type Asker } from './threadPool';

export interface PredictionRequest {
  id: string;
  planVersion: number;
  coreVersion: string;
}

/**
 * Stores a prediction: readings and plan are read from the database, solved here in a worker thread (never taken from the
 * browser), and written with inputs, seed and core version. The solve runs outside any transaction.
 */
export async function storePrediction(
  inTx: InTx,
  jobAxleId: string,
  request: PredictionRequest,
  asker: Asker = {},
  seed = randomInt(1, 2 ** 31 - 1),
): Promise<JobView> {
  if (request.coreVersion !== CORE_VERSION)
    throw new ProblemError(409, {
      code: 'core-version',
      message: `This page computes with version ${request.coreVersion}, the server with ${CORE_VERSION}. Reload the page.`,
    });
  const view = await inTx((tx) => loadJob(tx, jobAxleId));
  const there = view.predictions.find((p) => p.id === request.id);
  if (there && there.planVersion !== request.planVersion) throw taken();
  if (there) return view;
  if (view.plan.version !== request.planVersion)
    throw conflict('plan', {
      theirs: `${view.plan.changes.length} planned changes`,
      by: view.plan.updatedBy,
      at: view.plan.updatedAt,
      version: view.plan.version,
    });
  const { input } = assembledOf(view);
  const missing = lacksOf(input);
  if (missing.length > 0)
    throw new ProblemError(422, {
      code: 'incomplete',
      message: 'Readings or changes are missing for this prediction.',
      detail: missing,
    });
  const { prediction, bands } = await solveInThread(input, seed, STORED_SAMPLES, asker);
  return inTx(async (tx) => {
    const written = await insertPrediction(tx, {
      id: request.id,
      jobAxleId,
      planId: view.plan.id,
      planVersion: view.plan.version,
      planName: planText(view.plan),
      coreVersion: CORE_VERSION,
      seed,
      samples: STORED_SAMPLES,
      inputs: input,
      result: { schemaVersion: 1, prediction, bands },
    });
    const ledgers = SIDES.flatMap((side) =>
      (prediction.sides[side]?.states ?? []).map((state, k) => {
        const band = bands[side]?.[k];
        const lines = state.ledger.map((line) =>
          line.kind === 'total' && band
            ? { ...line, half90: band.half, reach: reachOf(band, state.after ?? state.change) }
            : line,
        );
        return { side, stateId: state.id, lines };
      }),
    );
    if (written > 0) await insertLedgers(tx, request.id, ledgers);
    return loadJob(tx, jobAxleId);
  });
}
