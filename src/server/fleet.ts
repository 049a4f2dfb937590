// Every vehicle with one pack: which sit low, which plan mends them, what that takes.
import {
  sweepAskSchema,
  type FleetLine,
  type NewSweep,
  type Sweep,
  type Sweepable,
  type SweptPlan,
} from '@/contracts/fleet';
import { type Batch } from '@/contracts/batch';
import { changeText, planText } from '@/contracts/planText';
import { plannedPart } from '@/contracts/planParts';
import { type ChangeRow } from '@/contracts/plan';
import { notFound, ProblemError } from '@/contracts/problem';
import { assembledOf } from '@/contracts/sheet';
import { CoreError } from '@/core/errors';
import { type FleetPattern } from '@/core/fleet/pattern';
import { sweepOne } from '@/core/fleet/sweep';
import { labelOf } from '@/core/suspension/registry';
import { patternOfAxle } from '@/core/suspension/solvers';
import * as batches from '@/data/batch';
import { type Tx } from '@/data/client';
import * as fleet from '@/data/fleet';
import { shelfItems } from '@/data/shelf';
import { loadJob } from './jobs';

/** Vehicles of one piece: some seconds of a worker's time. */
const PIECE = 50;
/** Of one sweep. */
const MOST = 20_000;

const bad = (message: string, field: string) => new ProblemError(422, { code: 'bad-input', message, field });

/** What may be swept with, and the sweeps so far. */
export async function fleetPage(tx: Tx): Promise<{ sweepable: Sweepable[]; sweeps: Batch[]; first: Sweep | null }> {
  const sweeps = await batches.batchesOfShop(tx, 'fleet');
  return {
    ...{ sweepable: await fleet.sweepableJobs(tx), sweeps },
    first: sweeps[0] ? await sweepOf(tx, sweeps[0].id) : null,
  };
}

/** What one plan takes for one vehicle, with price and what lay on the shelf when it was asked. */
async function sweptPlan(
  tx: Tx,
  suspension: Parameters<typeof plannedPart>[0],
  { id, name, changes }: { id: string; name: string; changes: ChangeRow[] },
): Promise<SweptPlan> {
  const ids = changes.flatMap((c) => ('partId' in c && c.partId ? [c.partId] : []));
  const items = ids.length === 0 ? [] : await shelfItems(tx, ids);
  return {
    ...{ id, name, says: changes.map(changeText).join(', ').slice(0, 300) },
    parts: changes.flatMap((change) => {
      const part = plannedPart(suspension, change);
      const item = 'partId' in change ? items.find((i) => i.id === change.partId) : undefined;
      return part ? [{ ...part, price: item?.price ?? null, here: item?.quantity ?? 0 }] : [];
    }),
  };
}

/** Asks a sweep: stored with its pieces, done by whichever workers there are. */
export async function askSweep(tx: Tx, given: NewSweep): Promise<Sweep> {
  const view = await loadJob(tx, given.jobAxleId);
  const plans = view.plans.filter((p) => p.changes.length > 0);
  if (plans.length === 0) throw bad('This job has no plan with a change in it.', 'jobAxleId');
  const { input, missing, refused } = assembledOf(view, plans[0]!.changes);
  if (refused[0]) throw bad(`This job cannot be solved: ${refused[0].reason}`, 'jobAxleId');
  if (missing.length > 0 || !(input.sides.left.spring ?? input.sides.right.spring))
    throw bad('This job is not measured far enough to be solved; others cannot be told by it.', 'jobAxleId');
  const { suspension, position } = view.axle;
  const axles = (await fleet.axlesAlike(tx, suspension, position)).map((a) => a.id);
  if (axles.length > MOST) throw bad(`A sweep takes ${MOST} vehicles at most.`, 'jobAxleId');
  const pieces = Array.from({ length: Math.ceil(axles.length / PIECE) }, (_, k) =>
    axles.slice(k * PIECE, (k + 1) * PIECE),
  );
  const waiting = await batches.waitingPieces(tx);
  if (waiting + pieces.length > batches.MOST_WAITING)
    throw new ProblemError(409, {
      code: 'full',
      message: 'Too much waits already: let a sweep come to its end, or stop one.',
    });
  const { id, ...asked } = given;
  const ask = sweepAskSchema.parse({
    ...{ ...asked, vehicle: view.vehicle.name, suspension },
    plans: await Promise.all(plans.map((plan) => sweptPlan(tx, suspension, plan))),
  });
  const name = `${view.vehicle.name}, ${position}: ${planText(plans[0]!)}`.slice(0, 160);
  await batches.insertBatch(tx, { id, kind: 'fleet', name, ask }, pieces, waiting);
  return sweepOf(tx, id);
}

/** A sweep as far as it is. */
export async function sweepOf(tx: Tx, id: string): Promise<Sweep> {
  const batch = await batches.batchOf(tx, id);
  const asked = await batches.askedOfBatch(tx, id);
  if (!batch || asked?.kind !== 'fleet') throw notFound('This sweep');
  return {
    ...{ batch, ask: sweepAskSchema.parse(asked.ask) },
    ...{ counts: await fleet.fleetCounts(tx, id), heights: await fleet.fleetHeights(tx, id) },
    ...{ lines: await fleet.fleetLines(tx, id), failed: await batches.failedPieces(tx, id) },
  };
}

/** Stops a sweep, or has what came to nothing done once more. */
export async function changeSweep(tx: Tx, id: string, { act }: { act: 'stop' | 'again' }): Promise<Sweep> {
  const { batch } = await sweepOf(tx, id);
  if (act === 'stop') await batches.cancelBatch(tx, id);
  else if (batch.cancelledAt !== null) throw bad('This sweep was stopped; ask for a new one.', 'act');
  else await batches.retryPieces(tx, id, await batches.waitingPieces(tx));
  return sweepOf(tx, id);
}

/** The patterns of a sweep's plans: each solved once, with every reading moved. @throws ProblemError where the job cannot be solved any more */
export async function patternsFor(tx: Tx, ask: unknown): Promise<() => FleetPattern[]> {
  const { jobAxleId, plans } = sweepAskSchema.parse(ask);
  const view = await loadJob(tx, jobAxleId);
  return () =>
    plans.map(({ id, name }) => {
      const plan = view.plans.find((p) => p.id === id);
      if (!plan) throw new Error(`The plan “${name}” is gone.`);
      return patternOfAxle(assembledOf(view, plan.changes).input);
    });
}

/** The first of a list in words, and how many more. */
const fewOf = (all: readonly string[]): string =>
  all.length <= 3 ? all.join(', ') : `${all.slice(0, 2).join(', ')} and ${all.length - 2} more are others`;

export type FoundLine = Omit<FleetLine, 'vehicle' | 'position'>;

/** What a sweep says of one axle. */
export async function sweptLine(
  tx: Tx,
  ask: unknown,
  patterns: readonly FleetPattern[],
  jobAxleId: string,
): Promise<FoundLine> {
  const { least, tolerance } = sweepAskSchema.parse(ask);
  const nothing = { jobAxleId, height: null, plan: null, after: null, half90: null };
  const view = await loadJob(tx, jobAxleId);
  if (view.build) return { ...nothing, verdict: 'workedOn', why: 'worked on since it was measured' };
  try {
    const { input, missing, refused } = assembledOf(view, []);
    if (refused[0]) return { ...nothing, verdict: 'notMeasured', why: refused[0].reason.slice(0, 300) };
    const { unlike, ...found } = sweepOne(input, patterns, { least, tolerance });
    const lacks = missing.length > 0 && found.verdict !== 'stands';
    const why = lacks
      ? `${missing.length} ${missing.length === 1 ? 'reading' : 'readings'} missing`
      : fewOf(unlike.map((path) => labelOf(input.kind, path)));
    return { jobAxleId, ...found, verdict: lacks ? 'notMeasured' : found.verdict, why: why.slice(0, 300) };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { ...nothing, verdict: 'notMeasured', why: error.message.slice(0, 300) };
  }
}
