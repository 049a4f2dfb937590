// Build: the safety card and the start.
import { randomUUID } from 'node:crypto';
import { missingBeforeHeights } from '@/contracts/gates';
import { type JobView, type NewTorque } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { RETORQUE } from '@/core/fastener/joints';
import { SUPPORT_ITEMS } from '@/core/procedure/checks';
import { parseMeasured } from '@/core/units/parse';
import { TORQUE_RULE } from '@/core/units/rules';
import { type Tx } from '@/data/client';
import * as jobs from '@/data/job';
import { loadJob } from './jobs';

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
 * Writes down a joint's torque. The figure is read again; a joint is final only on a figure or plainly by feel. Final U-bolts
 * set the checks after the first load cycles.
 */
export async function enterTorque(tx: Tx, jobId: string, given: NewTorque): Promise<JobView> {
  const bad = (message: string) => new ProblemError(400, { code: 'bad-input', message, field: 'typed' });
  if (given.typed !== null) {
    const parsed = parseMeasured(given.typed, TORQUE_RULE);
    const values = parsed.kind === 'ok' ? [parsed] : parsed.kind === 'ask' ? parsed.options : [];
    const value = given.value ?? NaN;
    if (!values.some((v) => Math.abs(v.value - value) <= 1e-6 * v.value && v.unit === given.unit))
      throw bad('The text and its value do not agree.');
  } else if (given.value !== null) throw bad('A figure needs its text.');
  const done = given.stage === 'final' || given.stage === 'again';
  if (done && given.value === null && given.source !== 'feel')
    throw new ProblemError(422, {
      code: 'no-torque',
      message: 'No torque is written down for this joint. Look it up, or say plainly that it went by feel.',
      field: 'typed',
    });
  await jobs.insertTorque(tx, jobId, given);
  if (given.joint === 'uBolts' && given.stage === 'final')
    for (const { what, afterKm, inDays } of RETORQUE)
      await jobs.insertDue(tx, randomUUID(), jobId, what, afterKm, inDays);
  return loadJob(tx, jobId);
}
