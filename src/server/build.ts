// Build: the safety card, the start, what does not fit, torque, and closing the job.
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { type EndDefect, type NewClosing, type NewDefect } from '@/contracts/defect';
import { blocking, fitRows, misfitText, unsettled, type FitRow } from '@/contracts/fit';
import { rechecksOfJob } from '@/contracts/following';
import { missingBeforeHeights } from '@/contracts/gates';
import { type JobView } from '@/contracts/job';
import { acceptedSubject, leftOpenOfJob, toAccept } from '@/contracts/openList';
import { notFound, ProblemError } from '@/contracts/problem';
import { assembledOf } from '@/contracts/sheet';
import { type NewIncident, type NewLegThread } from '@/contracts/incident';
import { INCIDENT_NAMES, WANTS_PART } from '@/contracts/incidentKinds';
import { type NewStepTick } from '@/contracts/stepTick';
import { type NewTorque, type NewTorqueReading } from '@/contracts/torque';
import { boltsOf, notFinal } from '@/core/fastener/joints';
import { lacksOf } from '@/core/suspension/registry';
import { factsOf } from '@/core/fit/work';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { parseMeasured } from '@/core/units/parse';
import { TORQUE_READING_RULE, TORQUE_RULE } from '@/core/units/rules';
import { type Tx } from '@/data/client';
import { endDefect, insertClosing, insertDefect, markClosed } from '@/data/defect';
import { insertDue } from '@/data/due';
import * as jobs from '@/data/job';
import { requireRoom } from '@/data/room';
import { insertSideFinding } from '@/data/inspect';
import { insertNeeded, insertWait } from '@/data/prepare';
import { insertIncident, insertLegThread, insertTick, stepGaps } from '@/data/stepTick';
import { insertTorque, insertTorqueReading } from '@/data/torque';
import { findById } from './again';
import { type InTx } from './http';
import { loadJob } from './jobs';
import { solveCentral } from './solve';
import { type Asker } from './threadPool';

export async function answerSafety(
  tx: Tx,
  jobAxleId: string,
  given: { id: string; item: string; answer: string },
): Promise<JobView> {
  await requireRoom(tx, 'safety_answer', jobAxleId);
  await jobs.insertSafety(tx, given.id, jobAxleId, given.item, given.answer);
  return loadJob(tx, jobAxleId);
}

/** What the axle does once the plan is in, solved anew from the readings as they stand; never taken from the browser or from an older solve. */
async function factsNow(view: JobView, asker: Asker) {
  const { input } = assembledOf(view);
  if (lacksOf(input).length > 0) return null;
  try {
    return factsOf(await solveCentral(input, asker));
  } catch (error) {
    if (!(error instanceof ProblemError) || error.problem.code !== 'unsolvable') throw error;
    return null;
  }
}

/** What was solved is not what stands there any more. */
class Moved extends Error {}
/** How often it is solved anew because somebody measures meanwhile. */
const TRIES = 4;

/** How something is decided on what fits: `look` only reads, `inTx` writes and says so in the trail. */
export interface Deciding {
  look: InTx;
  inTx: InTx;
  asker: Asker;
}

/**
 * Decides something on everything that must fit. It is solved outside any transaction, so that nobody waits for a thread with a connection in
 * hand; where readings or plan changed meanwhile it is solved again.
 * @param first refuses what needs no solving @param then in one transaction, on the job as it stands and what fits of it
 */
async function decide(
  { look, inTx, asker }: Deciding,
  jobAxleId: string,
  first: (view: JobView) => void,
  then: (tx: Tx, view: JobView, rows: FitRow[]) => Promise<void>,
): Promise<JobView> {
  for (let tries = 1; ; tries++) {
    const view = await look((tx) => loadJob(tx, jobAxleId));
    first(view);
    const facts = await factsNow(view, asker);
    const solved = assembledOf(view);
    try {
      return await inTx(async (tx) => {
        const now = await loadJob(tx, jobAxleId);
        const assembled = assembledOf(now);
        if (!isDeepStrictEqual(assembled.input, solved.input)) throw new Moved();
        first(now);
        await then(tx, now, fitRows(now, facts, assembled));
        return loadJob(tx, jobAxleId);
      });
    } catch (error) {
      if (!(error instanceof Moved)) throw error;
      if (tries === TRIES)
        throw new ProblemError(409, {
          code: 'measured-meanwhile',
          message: 'Somebody goes on measuring or planning. Nothing was saved; wait for them, then try again.',
        });
    }
  }
}

/** @throws ProblemError where something is missing that needs no solving to be seen */
function requireReady(view: JobView, overrideReason: string | null): void {
  const missing = missingBeforeHeights(view);
  if (missing.length > 0 && !overrideReason)
    throw new ProblemError(422, {
      code: 'no-before-height',
      message: `No before height on the ${missing.join(' and ')}: once the spring is out nobody can tell what the work did. Measure it, or give a reason.`,
      field: 'overrideReason',
      detail: missing,
    });
  const foretold = foretoldOf(view);
  if (view.predictions.length > 0 && foretold?.planVersion !== view.plan.version)
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
}

/** The newest prediction of the plan at work. */
const foretoldOf = (view: JobView) => view.predictions.find((p) => p.planId === view.plan.id);

/**
 * Starts the build; refused without before heights unless a reason is given, without support and stored energy answered, and while
 * something does not fit that nobody has mended or gone on with.
 */
export const startBuild = (how: Deciding, jobAxleId: string, overrideReason: string | null): Promise<JobView> =>
  decide(
    how,
    jobAxleId,
    (view) => requireReady(view, overrideReason),
    async (tx, view, rows) => {
      const wrong = blocking(rows);
      if (wrong.length > 0)
        throw new ProblemError(422, {
          code: 'does-not-fit',
          message: `STOP: ${wrong.map((row) => row.name).join('; ')}. Mend it and measure again, or write down why the work goes on with it and by when it is mended.`,
          field: wrong[0]!.subject,
          detail: wrong.map(({ subject, name, reason }) => ({ subject, name, reason })),
        });
      const reason = missingBeforeHeights(view).length > 0 ? overrideReason : null;
      await jobs.insertBuild(tx, jobAxleId, foretoldOf(view)?.id ?? null, reason);
    },
  );

/** Ticks a step of the work, or takes the tick back. Each is a fact of its own: one out of order is kept too, and what is wrong with it is told. */
export async function tickStep(tx: Tx, jobAxleId: string, given: NewStepTick): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  if (!view.build)
    throw new ProblemError(422, {
      code: 'not-begun',
      message: 'The build has not been started. Answer what holds the vehicle and start it; then steps are ticked.',
      field: 'step',
    });
  await requireRoom(tx, 'step_tick', jobAxleId);
  await insertTick(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/**
 * Writes down what went wrong or was found at a step. What seized, snapped or was wrong comes to the list of parts, what was found by the way to
 * the vehicle's findings, the days it costs to the calendar, in the same breath.
 */
export async function noteIncident(tx: Tx, jobAxleId: string, given: NewIncident): Promise<JobView> {
  const { job, vehicle } = await loadJob(tx, jobAxleId);
  await requireRoom(tx, 'incident', jobAxleId);
  if (await insertIncident(tx, jobAxleId, given)) {
    if (WANTS_PART.includes(given.kind)) {
      await requireRoom(tx, 'needed_part', jobAxleId);
      await insertNeeded(tx, jobAxleId, {
        ...{
          id: given.id,
          need: `own:${given.id}`,
          what: given.what,
          wanted: 1,
          state: 'toOrder',
          source: '',
          orders: '',
        },
        ...{ dueOn: null, shelfItemId: null, version: 0 },
      });
    }
    if (given.days !== null) {
      await requireRoom(tx, 'job_wait', jobAxleId);
      await insertWait(tx, jobAxleId, {
        ...{ id: given.id, what: `${INCIDENT_NAMES[given.kind]}: ${given.what}`.slice(0, 80), days: given.days },
        ...{ afterWait: null, done: false, struck: false, version: 0 },
      });
    }
    if (given.kind === 'found') {
      await requireRoom(tx, 'side_finding', vehicle.id);
      await insertSideFinding(tx, {
        ...{ id: given.id, what: given.what, urgency: 'soon', jobId: job.id, vehicleId: vehicle.id },
      });
    }
  }
  return loadJob(tx, jobAxleId);
}

/** Writes down how much thread stands out beyond the nut of a leg. */
export async function readLegThread(tx: Tx, jobAxleId: string, given: NewLegThread): Promise<JobView> {
  await loadJob(tx, jobAxleId);
  await requireRoom(tx, 'leg_thread', jobAxleId);
  await insertLegThread(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** How long the shop's steps took, one after the other. */
export const timesOfSteps = (tx: Tx) => stepGaps(tx);

/** Goes on with something that does not fit: a person, a reason, a day; it stays on the job as an open defect. */
export const goOnWith = (how: Deciding, jobAxleId: string, given: NewDefect): Promise<JobView> =>
  decide(
    how,
    jobAxleId,
    () => undefined,
    async (tx, view, rows) => {
      const there = findById(view.defects, given.id);
      const row = unsettled(rows).find((r) => r.subject === given.subject);
      if (!there && !row)
        throw new ProblemError(409, {
          code: 'fits-now',
          message: 'Nothing of this kind stands in the way any more; read the page once more.',
          field: 'subject',
        });
      if (!there && given.dueOn < view.today)
        throw new ProblemError(422, {
          code: 'bad-input',
          message: 'The day to mend it by has gone by already.',
          field: 'dueOn',
        });
      await insertDefect(tx, jobAxleId, given, there?.what ?? misfitText(row!));
    },
  );

export async function endDefectOf(tx: Tx, jobAxleId: string, given: EndDefect): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  if (!view.defects.some((d) => d.id === given.id)) throw notFound('This defect');
  await endDefect(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** Closes a job with the list of what is open, refused on stops; or opens it again. */
export async function closeJob(tx: Tx, jobAxleId: string, given: NewClosing): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const open = leftOpenOfJob(view);
  const stops = open.filter((item) => item.stop);
  if (given.closed && stops.length > 0)
    throw new ProblemError(422, {
      code: 'stops-open',
      message: `STOP: this job cannot be closed while this is open: ${stops.map((s) => s.text).join('; ')}.`,
      detail: stops.map((s) => s.text),
    });
  if (given.closed && !(view.closing?.closed ?? false)) await accept(tx, view, given);
  await insertClosing(tx, view.job.id, given, given.closed ? open.map((i) => i.text) : []);
  await markClosed(tx, view.job.id);
  return loadJob(tx, jobAxleId);
}

/** Keeps everything that is left open as a defect, each with its reason and day; refused while one is neither. */
async function accept(tx: Tx, view: JobView, { accepted }: NewClosing): Promise<void> {
  const open = toAccept(view);
  const left = open.filter(({ text }) => !accepted.some((a) => a.text === text));
  if (left.length > 0)
    throw new ProblemError(422, {
      code: 'not-accepted',
      message: `Left open without a reason and a day: ${left.map(({ text }) => text).join('; ')}.`,
      field: 'accepted',
      detail: left.map(({ text }) => text),
    });
  for (const { id, text, reason, dueOn, limits } of accepted.filter((a) => open.some(({ text: t }) => t === a.text))) {
    if (dueOn < view.today)
      throw new ProblemError(422, {
        ...{ code: 'bad-input', message: `The day for “${text}” has gone by already.`, field: 'dueOn' },
      });
    const at = [view, ...view.others].find((v) => text.startsWith(`${v.axle.position}: `)) ?? view;
    await insertDefect(tx, at.id, { id, subject: acceptedSubject(text), reason, dueOn, limits }, text);
  }
}

const bad = (message: string, field = 'typed') => new ProblemError(400, { code: 'bad-input', message, field });

/** Reads a torque again; the unit must stand in the text, since newton metres and pound-feet are both common. */
function checkTorque(given: { typed: string; value: number | null; unit: string | null }, rule = TORQUE_RULE): void {
  const parsed = parseMeasured(given.typed, rule);
  if (parsed.kind === 'ask') throw bad(`${parsed.question} Write it behind the figure.`);
  const value = given.value ?? NaN;
  if (parsed.kind !== 'ok' || parsed.unit !== given.unit || !(Math.abs(parsed.value - value) <= 1e-6 * parsed.value))
    throw bad(parsed.kind === 'refused' ? parsed.reason : 'The text and its value do not agree.');
}

const unitOf = (text: string): string | null => {
  const parsed = parseMeasured(text, TORQUE_READING_RULE);
  return parsed.kind === 'ok' ? parsed.unit : null;
};

/**
 * Writes down what a joint is to get and how far it is. It is final only with a figure that says where it comes from and with every
 * bolt read, or plainly by feel. Final U-bolts set the checks after the first load cycles.
 */
export async function enterTorque(tx: Tx, jobAxleId: string, given: NewTorque): Promise<JobView> {
  if (given.runningTyped !== null)
    checkTorque(
      { typed: given.runningTyped, value: given.running, unit: unitOf(given.runningTyped) },
      TORQUE_READING_RULE,
    );
  if (given.typed !== null) checkTorque({ ...given, typed: given.typed });
  else if (given.value !== null) throw bad('A figure needs its text.');
  if (given.stage === 'final' || given.stage === 'again') {
    const { torqueReadings } = await loadJob(tx, jobAxleId);
    const lacks = notFinal(
      given.joint,
      given,
      torqueReadings.filter((r) => r.joint === given.joint),
    );
    if (lacks)
      throw new ProblemError(422, {
        code: given.value === null ? 'no-torque' : 'not-read',
        message: lacks,
        field: given.source === 'notSaid' ? 'source' : 'typed',
      });
  }
  await insertTorque(tx, jobAxleId, given);
  const view = await loadJob(tx, jobAxleId);
  if (given.joint !== 'uBolts' || given.stage !== 'final') return view;
  for (const check of rechecksOfJob(view).filter(({ what }) => what.startsWith('U-bolts')))
    await insertDue(tx, randomUUID(), view.job.id, check);
  return loadJob(tx, jobAxleId);
}

/** What the wrench read at one bolt; the last reading of a bolt counts. */
export async function readTorque(tx: Tx, jobAxleId: string, given: NewTorqueReading): Promise<JobView> {
  if (!boltsOf(given.joint).includes(given.bolt)) throw bad('This joint has no such bolt.', 'bolt');
  checkTorque(given, TORQUE_READING_RULE);
  await requireRoom(tx, 'torque_reading', jobAxleId);
  await insertTorqueReading(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}
