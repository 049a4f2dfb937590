// Prove: after heights against what was foretold, why they differ, what was tried, to whom it was handed.
import { randomUUID } from 'node:crypto';
import { type DayRow, type NewReading, type ReadingRow } from '@/contracts/reading';
import { type JobView } from '@/contracts/job';
import { rechecksOfJob } from '@/contracts/following';
import { functionsOf } from '@/contracts/proving';
import { leftOpenOfJob } from '@/contracts/openList';
import { notFound, ProblemError } from '@/contracts/problem';
import {
  type NewFunctionCheck,
  type NewHandOver,
  type NewLesson,
  type NewRoadTest,
  type Residual,
} from '@/contracts/prove';
import { explain } from '@/core/followup/residual';
import { settlingOfAxle } from '@/core/suspension/registry';
import { compareHeights, type Comparison, type TakenHeight } from '@/core/vehicle/likeWithLike';
import { summarise } from '@/core/prediction/ledger';
import { type Tx } from '@/data/client';
import { insertDue } from '@/data/due';
import * as plans from '@/data/plan';
import * as proofs from '@/data/prove';
import { readingById } from '@/data/reading';
import { requireRoom } from '@/data/room';
import { type InTx } from './http';
import { loadJob } from './jobs';
import { addReading } from './measure';
import { leversInThread } from './solve';
import { type Asker } from './threadPool';

const bad = (message: string, field: string) => new ProblemError(422, { code: 'bad-input', message, field });

/** Heights of the body that may be read before and after: from the hub, or from the ground at the same tyre pressure. */
const PROVING = ['hubToLip', 'groundToLip'] as const;
type Proving = (typeof PROVING)[number];
const proving = (point: string): point is Proving => (PROVING as readonly string[]).includes(point);

/**
 * Stores an after height and sets it against the prediction of the build. Only like with like: the same point before and after,
 * the load state one the prediction was made for, the vehicle rolled. From the hub the prediction is the ledger's own height; from
 * the ground it is the height read before in the same load, with the change the ledger foretells there.
 */
export async function prove(
  tx: Tx,
  jobAxleId: string,
  reading: NewReading,
  newId: () => string = randomUUID,
): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const { side, stateId } = reading;
  const { point } = reading;
  if (!proving(point) || reading.phase !== 'after' || !side || !stateId)
    throw new ProblemError(400, {
      code: 'bad-input',
      message: 'An after height names its side and load state.',
      field: 'point',
    });
  if (reading.rolled !== true)
    throw new ProblemError(422, {
      code: 'not-rolled',
      message: 'Roll the vehicle first: friction holds an unrolled spring up or down by millimetres.',
      field: 'rolled',
    });
  const foretold = view.build ? view.predictions.find((p) => p.id === view.build?.predictionId) : view.predictions[0];
  const ledger = foretold?.ledgers.find((l) => l.side === side && l.stateId === stateId);
  const { change, half, reach, ...heights } = summarise(ledger?.lines ?? []);
  const before = beforeOf(view, point, side, stateId);
  const after = point === 'hubToLip' ? heights.after : before && ledger ? before.value + change : null;
  if (!foretold || !ledger || after === null)
    throw new ProblemError(422, {
      code: 'not-alike',
      message:
        point === 'groundToLip' && foretold
          ? 'There is no height from the ground to this lip from before the work in this load state to compare with.'
          : 'There is no stored prediction of this height in this load state to compare with.',
      field: 'stateId',
    });
  const alike = await againstBefore(tx, view, reading, foretold.id);
  if (alike.kind === 'refused')
    throw new ProblemError(422, {
      code: 'not-alike',
      message: `These two heights cannot be compared: ${alike.reasons.join('; ')}.`,
      field: alike.reasons.some((r) => r.includes('tank')) ? 'fuel' : 'typed',
      detail: alike.reasons,
    });
  await addReading(tx, jobAxleId, reading);
  const [stored] = await readingById(tx, jobAxleId, reading.id);
  const convertedBy = alike.kind === 'converted' ? alike.convertedBy : 0;
  const measured = (stored?.value ?? reading.value) + convertedBy;
  await plans.insertOutcome(tx, {
    readingId: reading.id,
    predictionId: foretold.id,
    side,
    stateId,
    measured,
    predicted: after,
    half90: half,
    inside: measured >= after - reach.below && measured <= after + reach.above,
    convertedBy,
    point,
  });
  for (const check of rechecksOfJob(view)) await insertDue(tx, newId(), view.job.id, check);
  return loadJob(tx, jobAxleId);
}

/** What a height was read in, as far as it was written down. */
function takenHeight(
  reading: Pick<ReadingRow, 'point' | 'side' | 'stateId' | 'value' | 'rolled' | 'dayId'>,
  days: readonly DayRow[],
): TakenHeight {
  const day = days.find((d) => d.id === reading.dayId);
  return {
    point: reading.point,
    side: reading.side,
    stateId: reading.stateId,
    value: reading.value,
    rolled: reading.rolled,
    stance: day?.stance ?? null,
    fuel: day?.fuel ?? null,
    fuelAsBefore: day?.fuelAsBefore ?? false,
    tyrePressure: day?.tyrePressure ?? null,
  };
}

/** The height of a point from before the work: in the load state asked for, or the one of the day. */
function beforeOf(view: JobView, point: Proving, side: string, stateId: string): ReadingRow | undefined {
  const of = (state: string | null | undefined) =>
    view.readings.find((r) => r.point === point && r.phase === 'before' && r.side === side && r.stateId === state);
  // Over the tyre a load counts too, so from the ground only the same load will do.
  return of(stateId) ?? (point === 'hubToLip' ? of(view.states[0]?.id) : undefined);
}

/** Whether an after height may be set against the prediction of its load state, and what another fill of the tank did. */
async function againstBefore(tx: Tx, view: JobView, reading: NewReading, predictionId: string): Promise<Comparison> {
  const { side, stateId } = reading;
  const base =
    side && stateId && proving(reading.point)
      ? beforeOf(view, reading.point, side, reading.point === 'hubToLip' ? (view.states[0]?.id ?? '') : stateId)
      : undefined;
  if (!base) return { kind: 'refused', reasons: ['there is no before height of this side'] };
  const [record] = await plans.predictionRecord(tx, predictionId);
  const state = side && record?.result.prediction.sides[side]?.states.find((s) => s.id === stateId);
  const { tankMass, tankStation, wheelbase } = view.vehicle;
  // The prediction was made for the load state the after height was read in, so the two belong together in that; and a before
  // height that was not rolled is already in its band.
  return compareHeights({ ...takenHeight(base, view.days), stateId, rolled: true }, takenHeight(reading, view.days), {
    tankMass,
    tankStation,
    wheelbase,
    position: view.axle.position,
    rate: (state && (state.built ?? state.old)?.rate) ?? null,
  });
}

/** Keeps whether something that was tried is in order. */
export async function tryFunction(tx: Tx, jobAxleId: string, given: NewFunctionCheck): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  if (!functionsOf(view).includes(given.item)) throw bad('This is not asked of this work.', 'item');
  await requireRoom(tx, 'function_check', jobAxleId);
  await proofs.insertFunctionCheck(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** Keeps a drive, before or after the work. */
export async function noteRoadTest(tx: Tx, jobAxleId: string, given: NewRoadTest): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  if (!view.states.some((s) => s.id === given.stateId)) throw bad('This load state is not of this job.', 'stateId');
  if (given.noise === null && given.ride === null && given.shake === null && given.note === '')
    throw bad('Give a mark, or say how it drove.', 'note');
  await requireRoom(tx, 'road_test', jobAxleId);
  await proofs.insertRoadTest(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** Keeps to whom the vehicle was handed, with everything that was open then. */
export async function handOver(tx: Tx, jobAxleId: string, given: NewHandOver): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const open = leftOpenOfJob(view);
  const stops = open.filter((item) => item.stop);
  if (stops.length > 0)
    throw new ProblemError(422, {
      code: 'stops-open',
      message: `STOP: it is not handed over while this is open: ${stops.map((s) => s.text).join('; ')}.`,
      detail: stops.map((s) => s.text),
    });
  await requireRoom(tx, 'hand_over', view.job.id);
  await proofs.insertHandOver(
    tx,
    view.job.id,
    given,
    open.map((i) => i.text),
  );
  return loadJob(tx, jobAxleId);
}

/** Keeps what the tape taught of the axle. */
export async function learn(tx: Tx, jobAxleId: string, given: NewLesson): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const predictionId = view.outcomes[0]?.predictionId;
  if (!predictionId) throw bad('Nothing was measured after the work yet.', 'cause');
  await requireRoom(tx, 'lesson', jobAxleId);
  await proofs.insertLesson(tx, { axleId: view.axle.id, jobAxleId, predictionId }, given);
  return loadJob(tx, jobAxleId);
}

/** Where the heights that were read after the work may come from. Solved outside any transaction. @param solve in a thread of the server, unless somebody has a thread to itself */
export async function residualOf(
  inTx: InTx,
  jobAxleId: string,
  asker: Asker = {},
  solve: typeof leversInThread = leversInThread,
): Promise<Residual> {
  const { view, input } = await inTx(async (tx) => {
    const view = await loadJob(tx, jobAxleId);
    const predictionId = view.outcomes[0]?.predictionId;
    const [record] = predictionId ? await plans.predictionRecord(tx, predictionId) : [];
    if (!record) throw notFound('A height after the work');
    return { view, input: record.inputs };
  });
  const read = view.outcomes.flatMap(({ side, stateId, point, measured, predicted }) => {
    const state = input.states.findIndex((s) => s.id === stateId);
    // One height a side and load: from the hub, where both were read.
    const twice =
      point === 'groundToLip' &&
      view.outcomes.some((o) => o.side === side && o.stateId === stateId && o.point === 'hubToLip');
    return state < 0 || twice ? [] : [{ side, stateId, state, off: measured - predicted }];
  });
  if (read.length === 0) throw notFound('A height after the work');
  const levers = await solve(
    input,
    read.map(({ side, state }) => ({ side, state })),
    asker,
  );
  const told = explain(
    levers,
    read.map(({ off }) => off),
    {
      settling: settlingOfAxle(input),
      states: input.states.length,
      notHome: 'arrangement' in input && input.arrangement === 'under' ? -1 : 1,
    },
  );
  return { ...told, heights: read.map(({ side, stateId, off }) => ({ side, stateId, off })) };
}
