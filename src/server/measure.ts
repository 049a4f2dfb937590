// Measure: readings, the day they were taken on, what is seen of the pack.
import { randomUUID } from 'node:crypto';
import { type CarriedReading } from '@/contracts/ask';
import { type NewDay, type NewReading, type ReadingRow } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { type JobView } from '@/contracts/job';
import { type NewSurvey } from '@/contracts/surveyRow';
import { type PackEdit } from '@/contracts/pack';
import { type newPressRunSchema, type pressFileSchema } from '@/contracts/press';
import { readPressFile } from '@/contracts/pressFile';
import { type SeenEdit } from '@/contracts/seen';
import { conflict, ProblemError } from '@/contracts/problem';
import { pointOf } from '@/core/measure/points';
import { parseMeasured } from '@/core/units/parse';
import { UNITS } from '@/core/units/units';
import { type Side } from '@/core/vehicle/side';
import { brokenRule, type Tx } from '@/data/client';
import { insertPressRun } from '@/data/inspect';
import * as jobs from '@/data/job';
import { putComponent, removeComponentsAbove, updateSeen } from '@/data/jobAxle';
import { requireRoom } from '@/data/room';
import { allReadings, currentReadings, insertDay, insertReading, jobDays, readingById } from '@/data/reading';
import { type z } from 'zod';
import { loadJob } from './jobs';

/** Every reading of a job, corrected ones too, newest first. */
export const readingHistory = (tx: Tx, jobAxleId: string): Promise<ReadingRow[]> => allReadings(tx, jobAxleId);

/** Begins a measuring day: fuel, tyre pressure, weight on the wheels or not. Earlier readings keep theirs. */
export async function beginDay(tx: Tx, jobAxleId: string, day: NewDay): Promise<JobView> {
  if (day.fuelAsBefore && (day.phase !== 'after' || day.fuel !== null))
    throw new ProblemError(400, {
      code: 'bad-input',
      message: '“As before” is said of the day after the work, and instead of a fill.',
      field: 'fuelAsBefore',
    });
  const { job } = await loadJob(tx, jobAxleId);
  await insertDay(tx, job.id, day);
  return loadJob(tx, jobAxleId);
}

/** A loaded point means nothing with the wheels in the air; a day belongs to the job and the phase of its readings. */
async function checkDay(tx: Tx, jobAxleId: string, reading: NewReading): Promise<void> {
  if (reading.dayId === null) return;
  const day = (await jobDays(tx, jobAxleId)).find((d) => d.id === reading.dayId);
  if (day?.phase !== reading.phase)
    throw new ProblemError(400, {
      code: 'bad-input',
      message: 'The measuring day of this reading is not known.',
      field: 'dayId',
    });
  if (day.stance === 'air' && pointOf(reading.point).loaded)
    throw new ProblemError(422, {
      code: 'in-the-air',
      message: 'The wheels are in the air: this is read with the weight on them. Change the day above, or lower it.',
      field: 'typed',
    });
}

/** Appends a reading after reading its text again; two people on one field get a conflict, never a silent overwrite. */
export async function addReading(tx: Tx, jobAxleId: string, reading: NewReading): Promise<JobView> {
  await keepReading(tx, jobAxleId, reading);
  return loadJob(tx, jobAxleId);
}

/** The same without looking at the job afterwards. */
export async function keepReading(tx: Tx, jobAxleId: string, reading: NewReading): Promise<void> {
  const point = pointOf(reading.point);
  checkSubject(reading, await ownSide(tx, jobAxleId));
  await checkDay(tx, jobAxleId, reading);
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
  // A free leaf or the arch on the bench is read with the spring out; how it stood loaded can no longer be read then.
  const locks = reading.phase === 'before' && (point.loaded || reading.supersedes !== null);
  if (locks && !reading.correctionReason && (await buildBegun(tx, jobAxleId)))
    throw new ProblemError(422, {
      code: 'locked',
      message: 'The build has begun: what was read before it stays as it was. Say why it is corrected.',
      field: 'correctionReason',
    });
  if (reading.supersedes) {
    const [old] = await readingById(tx, jobAxleId, reading.supersedes);
    if (!old || readingKey(old) !== readingKey(reading))
      throw new ProblemError(400, {
        code: 'bad-input',
        message: 'A reading replaces only one of its own field.',
        field: 'supersedes',
      });
  }
  try {
    await requireRoom(tx, 'reading', jobAxleId);
    await tx.run('SAVEPOINT reading');
    await insertReading(tx, jobAxleId, reading);
  } catch (error) {
    const rule = brokenRule(error);
    if (rule !== 'reading_first_once' && rule !== 'reading_superseded_once') throw error;
    await tx.run('ROLLBACK TO SAVEPOINT reading');
    const now = (await currentReadings(tx, jobAxleId)).find((r) => readingKey(r) === readingKey(reading));
    if (!now) throw error;
    throw conflict('typed', { theirs: now.typed, by: now.person, at: now.takenAt, version: now.id });
  }
}

/** Takes in what was read before there was a job, in the state of the day; what is read of a leaf holds for all of them. */
export async function carryReading(
  tx: Tx,
  jobAxleId: string,
  { point, typed, value }: CarriedReading,
  newId: () => string,
): Promise<void> {
  const { leaves, states } = await loadJob(tx, jobAxleId);
  const { rule, loaded, perLeaf } = pointOf(point);
  const parsed = parseMeasured(typed, rule);
  const near = (option: { value: number }) => Math.abs(option.value - value) <= 1e-6 * Math.max(1, Math.abs(value));
  const unit = parsed.kind === 'ask' ? parsed.options.find(near)?.unit : parsed.kind === 'ok' ? parsed.unit : undefined;
  for (const leafId of perLeaf ? leaves.map((leaf) => leaf.id) : [null])
    await addReading(tx, jobAxleId, {
      ...{ id: newId(), point, phase: 'before', side: null, leafId, typed, value, unit: unit ?? rule.unit },
      ...{ stateId: loaded ? (states[0]?.id ?? null) : null, rolled: null, dayId: null, supersedes: null },
      instrument: 'tape',
    });
}

/** Whether a spring may have been loosened already: a reading from before the work is a correction from then on. */
const buildBegun = async (tx: Tx, jobAxleId: string): Promise<boolean> =>
  (await jobs.jobBuild(tx, jobAxleId)).length > 0;

/** The side that has a pack of its own; null while one stands for both. */
async function ownSide(tx: Tx, jobAxleId: string): Promise<Side | null> {
  const pack = (await jobs.jobPacks(tx, jobAxleId)).find((p) => p.side === null);
  return pack?.otherSide === 'different' ? pack.ownSide : null;
}

/** @param own the side that has a pack of its own */
function checkSubject(reading: NewReading, own: Side | null): void {
  const point = pointOf(reading.point);
  const bad = (message: string) => new ProblemError(400, { code: 'bad-input', message, field: 'point' });
  const ofOwn = point.ofSpring && reading.side !== null && reading.side === own;
  if (!ofOwn && point.sided !== (reading.side !== null))
    throw bad('This point is read ' + (point.sided ? 'on one side.' : 'once for the axle.'));
  if (point.perLeaf !== (reading.leafId !== null))
    throw bad(point.perLeaf ? 'Say which leaf.' : 'This point has no leaf.');
  if (point.loaded !== (reading.stateId !== null))
    throw bad(point.loaded ? 'Say in which load state.' : 'This point has no load state.');
}

export async function editPack(tx: Tx, jobAxleId: string, edit: PackEdit): Promise<JobView> {
  if ((await jobs.updatePack(tx, jobAxleId, edit)) === 0) {
    const { pack } = await loadJob(tx, jobAxleId);
    throw conflict('pack', {
      theirs: `${pack.eyeForm ?? 'eyes not said'}, seat ${pack.seatShape}`,
      by: pack.updatedBy,
      at: pack.updatedAt,
      version: pack.version,
    });
  }
  const { own } = await loadJob(tx, jobAxleId);
  const put = async (side: Side | null, count: number) => {
    for (let ordinal = 1; ordinal <= count; ordinal++)
      await putComponent(tx, randomUUID(), jobAxleId, { kind: 'leaf', ordinal, side });
    await removeComponentsAbove(tx, jobAxleId, 'leaf', side, count);
  };
  await put(edit.side, edit.leafCount);
  if (edit.side === null && edit.otherSide === 'different' && edit.ownSide !== null && own === null) {
    await jobs.insertPack(tx, randomUUID(), jobAxleId, edit.ownSide);
    // A pack of its own has as many leaves as the other one until somebody counts; what was counted before stays.
    const now = await loadJob(tx, jobAxleId);
    if (now.own?.leaves.length === 0) await put(edit.ownSide, edit.leafCount);
  }
  return loadJob(tx, jobAxleId);
}

/** What is seen of an axle and not measured, under its version. */
export async function editSeen(tx: Tx, id: string, { version, ...seen }: SeenEdit): Promise<JobView> {
  const before = await loadJob(tx, id);
  if ((await updateSeen(tx, id, version, seen)) === 0)
    throw conflict('seen', {
      theirs: Object.values(before.seen).filter(Boolean).join(', ') || 'not said',
      by: before.job.updatedBy,
      at: before.job.updatedAt,
      version: before.seenVersion,
    });
  return loadJob(tx, id);
}

/** Answers one item of the survey under the vehicle; the last answer counts. */
export async function answerSurvey(tx: Tx, jobAxleId: string, given: NewSurvey): Promise<JobView> {
  await requireRoom(tx, 'survey_answer', jobAxleId);
  await jobs.insertSurvey(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** A run taken from the press, as accepted on the page. */
export async function addPressRun(
  tx: Tx,
  jobAxleId: string,
  run: z.output<typeof newPressRunSchema>,
): Promise<JobView> {
  await insertPressRun(tx, jobAxleId, { ...run, source: 'press' });
  return loadJob(tx, jobAxleId);
}

/** A run from a file: all of it or, with every bad line named, nothing. */
export async function importPressRun(
  tx: Tx,
  jobAxleId: string,
  file: z.output<typeof pressFileSchema>,
): Promise<JobView> {
  const read = readPressFile(file.text);
  if ('problems' in read)
    throw new ProblemError(422, {
      code: 'bad-file',
      message: `Nothing was taken in: ${read.problems
        .slice(0, 5)
        .map((p) => `line ${p.line}: ${p.reason}`)
        .join(' ')}`,
      field: 'file',
      detail: read.problems,
    });
  await insertPressRun(tx, jobAxleId, { id: file.id, side: file.side, source: 'csv', points: read.points });
  return loadJob(tx, jobAxleId);
}
