import { randomUUID } from 'node:crypto';
import { brokenRule, type Tx } from '@/data/client';
import * as jobs from '@/data/job';
import * as plans from '@/data/plan';
import { currentReadings, insertReading, readingById } from '@/data/reading';
import { insertAxle, insertVehicle } from '@/data/shop';
import {
  readingKey,
  type AskEdit,
  type JobView,
  type NewJob,
  type NewReading,
  type PackEdit,
  type PlanEdit,
} from '@/contracts/job';
import { missingBeforeHeights } from '@/contracts/gates';
import { conflict, notFound, ProblemError } from '@/contracts/problem';
import { pointOf } from '@/core/measure/points';
import { SUPPORT_ITEMS } from '@/core/procedure/checks';
import { parseMeasured } from '@/core/units/parse';
import { UNITS } from '@/core/units/units';
import { summarise } from '@/core/height/ledger';

/** Everything a page of one job shows. @throws ProblemError not-found */
export async function loadJob(tx: Tx, id: string): Promise<JobView> {
  const [
    [job],
    [vehicle],
    [axle],
    states,
    [pack],
    leaves,
    readings,
    plan,
    predictions,
    safety,
    [build],
    outcomes,
    due,
  ] = [
    await jobs.jobRow(tx, id),
    await jobs.jobVehicle(tx, id),
    await jobs.jobAxle(tx, id),
    await jobs.jobStates(tx, id),
    await jobs.jobPack(tx, id),
    await jobs.jobLeaves(tx, id),
    await currentReadings(tx, id),
    await plans.jobPlan(tx, id),
    await plans.jobPredictions(tx, id),
    await jobs.jobSafety(tx, id),
    await jobs.jobBuild(tx, id),
    await jobs.jobOutcomes(tx, id),
    await jobs.jobDue(tx, id),
  ];
  if (!job || !vehicle || !axle || !pack || !plan) throw notFound('This job');
  return {
    job,
    vehicle,
    axle,
    states,
    pack,
    leaves,
    readings,
    plan,
    predictions,
    safety,
    build: build ?? null,
    outcomes,
    due,
  };
}

/** Makes a job with all it needs to be measured; ids may be given so that the demo is the same every time. */
export async function createJob(tx: Tx, given: NewJob, newId: () => string = randomUUID): Promise<{ id: string }> {
  // A second try after a lost answer.
  if ((await jobs.jobRow(tx, given.id)).length > 0) return { id: given.id };
  let axleId: string;
  if (given.vehicle.kind === 'known') axleId = given.vehicle.axleId;
  else {
    const vehicleId = newId();
    axleId = newId();
    await insertVehicle(tx, { ...given.vehicle, id: vehicleId });
    await insertAxle(tx, { ...given.vehicle, id: axleId, vehicleId });
  }
  await jobs.insertJob(tx, given, axleId);
  const today = {
    jobId: given.id,
    ordinal: 0,
    name: 'as it stands today',
    mass: 0,
    massTyped: '0',
    station: 0,
    stationTyped: '0',
  };
  await jobs.insertState(tx, { ...today, id: newId(), wanted: given.usual === null || given.wantedIn === 'today' });
  if (given.usual)
    await jobs.insertState(tx, {
      ...given.usual,
      id: newId(),
      jobId: given.id,
      ordinal: 1,
      wanted: given.wantedIn === 'usual',
    });
  const packId = newId();
  await jobs.insertPack(tx, packId, given.id);
  for (let k = 1; k <= given.leafCount; k++) await jobs.putLeaf(tx, newId(), packId, k);
  for (const [k, kind] of (['tube', 'perch', 'block'] as const).entries())
    await jobs.insertStackPiece(tx, newId(), given.id, k + 1, kind);
  await jobs.insertFastener(tx, newId(), given.id, 'uBolt');
  await jobs.insertFastener(tx, newId(), given.id, 'centreBolt');
  await plans.insertPlan(tx, newId(), given.id);
  return { id: given.id };
}

export async function editAsk(tx: Tx, id: string, edit: AskEdit): Promise<JobView> {
  if ((await jobs.updateAsk(tx, id, edit)) === 0) {
    const { job } = await loadJob(tx, id);
    throw conflict('ask', {
      theirs: `${job.complaint}; wanted ${job.wantedTyped}`,
      by: job.updatedBy,
      at: job.updatedAt,
      version: job.version,
    });
  }
  return loadJob(tx, id);
}

/** Appends a reading after reading its text again; two people on one field get a conflict, never a silent overwrite. */
export async function addReading(tx: Tx, jobId: string, reading: NewReading): Promise<JobView> {
  const point = pointOf(reading.point);
  checkSubject(reading);
  const { rule } = point;
  const parsed = parseMeasured(reading.typed, rule);
  const agreed = (value: number) => Math.abs(value - reading.value) <= 1e-6 * Math.max(1, Math.abs(reading.value));
  const accepted =
    (parsed.kind === 'ok' && agreed(parsed.value)) ||
    (parsed.kind === 'ask' && parsed.options.some((o) => agreed(o.value)));
  if (!accepted || UNITS[reading.unit].dimension !== rule.dimension) {
    const reason = parsed.kind === 'refused' ? parsed.reason : 'The text and its value do not agree.';
    throw new ProblemError(400, { code: 'bad-input', message: reason, field: 'typed' });
  }
  if (reading.supersedes) {
    const [old] = await readingById(tx, jobId, reading.supersedes);
    if (!old || readingKey(old) !== readingKey(reading))
      throw new ProblemError(400, {
        code: 'bad-input',
        message: 'A reading replaces only one of its own field.',
        field: 'supersedes',
      });
  }
  try {
    await tx.run('SAVEPOINT reading');
    await insertReading(tx, jobId, reading);
  } catch (error) {
    const rule = brokenRule(error);
    if (rule !== 'reading_first_once' && rule !== 'reading_superseded_once') throw error;
    await tx.run('ROLLBACK TO SAVEPOINT reading');
    const now = (await currentReadings(tx, jobId)).find((r) => readingKey(r) === readingKey(reading));
    if (!now) throw error;
    throw conflict('typed', { theirs: now.typed, by: now.person, at: now.takenAt, version: now.id });
  }
  return loadJob(tx, jobId);
}

function checkSubject(reading: NewReading): void {
  const point = pointOf(reading.point);
  const bad = (message: string) => new ProblemError(400, { code: 'bad-input', message, field: 'point' });
  if (point.sided !== (reading.side !== null))
    throw bad('This point is read ' + (point.sided ? 'on one side.' : 'once for the axle.'));
  if (point.perLeaf !== (reading.leafId !== null))
    throw bad(point.perLeaf ? 'Say which leaf.' : 'This point has no leaf.');
  if (point.loaded !== (reading.stateId !== null))
    throw bad(point.loaded ? 'Say in which load state.' : 'This point has no load state.');
}

export async function editPack(tx: Tx, jobId: string, edit: PackEdit): Promise<JobView> {
  if ((await jobs.updatePack(tx, jobId, edit)) === 0) {
    const { pack } = await loadJob(tx, jobId);
    throw conflict('pack', {
      theirs: `${pack.eyeForm ?? 'eyes not said'}, seat ${pack.seatShape}`,
      by: pack.updatedBy,
      at: pack.updatedAt,
      version: pack.version,
    });
  }
  const { pack } = await loadJob(tx, jobId);
  for (let k = 1; k <= edit.leafCount; k++) await jobs.putLeaf(tx, randomUUID(), pack.id, k);
  await jobs.removeLeavesAbove(tx, pack.id, edit.leafCount);
  return loadJob(tx, jobId);
}

export async function editPlan(tx: Tx, jobId: string, edit: PlanEdit): Promise<JobView> {
  const before = await loadJob(tx, jobId);
  const blocked = edit.changes.some((c) => c.kind === 'block' && c.height > 0);
  if (blocked && before.axle.steered)
    throw new ProblemError(422, {
      code: 'unsafe',
      message: 'A block on a steered axle is not offered: it can turn the axle under braking.',
      field: 'block',
    });
  const kinds = edit.changes.map((c) => c.kind).filter((k) => k !== 'addLeaf');
  if (new Set(kinds).size < kinds.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'A plan holds one block, one shackle and one conversion at most; blocks are never stacked.',
      field: 'changes',
    });
  if (before.axle.arrangement === 'over' && kinds.includes('overAxle'))
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'The spring already lies over the axle.',
      field: 'overAxle',
    });
  if ((await plans.claimPlan(tx, jobId, edit.version)) === 0)
    throw conflict('plan', {
      theirs: `${before.plan.changes.length} planned changes`,
      by: before.plan.updatedBy,
      at: before.plan.updatedAt,
      version: before.plan.version,
    });
  await plans.replaceChanges(tx, before.plan.id, edit.changes);
  return loadJob(tx, jobId);
}

export async function answerSafety(
  tx: Tx,
  jobId: string,
  given: { id: string; item: string; answer: string },
): Promise<JobView> {
  await jobs.insertSafety(tx, given.id, jobId, given.item, given.answer);
  return loadJob(tx, jobId);
}

/** Starts the build; refused without before heights unless a reason is given, and without support and stored energy answered. */
export async function startBuild(tx: Tx, jobId: string, overrideReason: string | null): Promise<JobView> {
  const view = await loadJob(tx, jobId);
  const missing = missingBeforeHeights(view);
  if (missing.length > 0 && !overrideReason)
    throw new ProblemError(422, {
      code: 'no-before-height',
      message: `No before height on the ${missing.join(' and ')}: once the spring is out nobody can tell what the work did. Measure it, or give a reason.`,
      field: 'overrideReason',
      detail: missing,
    });
  const foretold = view.predictions[0];
  if (foretold && foretold.planVersion !== view.plan.version)
    throw new ProblemError(409, {
      code: 'stale-prediction',
      message: 'The plan was changed after the last stored prediction. Store a new one before the build starts.',
    });
  const unanswered = SUPPORT_ITEMS.filter((item) => view.safety.find((s) => s.item === item)?.answer !== 'ok');
  if (unanswered.length > 0)
    throw new ProblemError(422, {
      code: 'not-supported',
      message: 'Support and stored energy are not confirmed yet.',
      field: unanswered[0] ?? '',
      detail: unanswered,
    });
  await jobs.insertBuild(tx, jobId, foretold?.id ?? null, missing.length > 0 ? overrideReason : null);
  return loadJob(tx, jobId);
}

/**
 * Stores an after height and sets it against the prediction of the build. Only like with like: the load state must be one the
 * prediction was made for, the vehicle rolled, and the prediction made with a before height.
 */
export async function prove(
  tx: Tx,
  jobId: string,
  reading: NewReading,
  newId: () => string = randomUUID,
): Promise<JobView> {
  const view = await loadJob(tx, jobId);
  const { side, stateId } = reading;
  if (reading.point !== 'hubToLip' || reading.phase !== 'after' || !side || !stateId)
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
  const { after, half } = summarise(ledger?.lines ?? []);
  if (!foretold || after === null)
    throw new ProblemError(422, {
      code: 'not-alike',
      message: 'There is no stored prediction of this height in this load state to compare with.',
      field: 'stateId',
    });
  await addReading(tx, jobId, reading);
  const [stored] = await readingById(tx, jobId, reading.id);
  const measured = stored?.value ?? reading.value;
  await plans.insertOutcome(tx, {
    readingId: reading.id,
    predictionId: foretold.id,
    side,
    stateId,
    measured,
    predicted: after,
    half90: half,
    inside: Math.abs(measured - after) <= half,
  });
  await jobs.insertDue(tx, newId(), jobId, 'U-bolts: torque again', 800, 14);
  await jobs.insertDue(tx, newId(), jobId, 'U-bolts: second check, heights after settling', 1600, 42);
  return loadJob(tx, jobId);
}
