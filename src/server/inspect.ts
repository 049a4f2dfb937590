// Inspect: findings, failures, what was found by the way, the shop's own limits.
import { type JobView } from '@/contracts/job';
import { type NewFinding, type NewShopLimit } from '@/contracts/finding';
import { type closeSideFindingSchema, type newFailureSchema, type newSideFindingSchema } from '@/contracts/sideFinding';
import { type KeptPicture } from '@/data/picture';
import { notFound, ProblemError } from '@/contracts/problem';
import { judge, ruleOf, shopRule } from '@/core/inspection/rules';
import { parseMeasured } from '@/core/units/parse';
import { type Tx } from '@/data/client';
import * as inspect from '@/data/inspect';
import { requireRoom } from '@/data/room';
import { type z } from 'zod';
import { loadJob } from './jobs';

const bad = (message: string, field: string) => new ProblemError(400, { code: 'bad-input', message, field });

/** Stores a finding. The verdict is the rule's, by this shop's limits; a person never types it. */
export async function addFinding(tx: Tx, jobAxleId: string, given: NewFinding): Promise<JobView> {
  const rule = shopRule(given.rule, await inspect.shopLimits(tx));
  if (rule.once !== (given.side === null))
    throw bad(rule.once ? 'This is looked at once for the axle.' : 'Say on which side.', 'side');
  if (given.choice !== null && !rule.choices.some((c) => c.id === given.choice))
    throw bad('This rule has no such finding.', 'choice');
  for (const { measure, value, typed } of given.values) {
    const known = rule.measures.find((m) => m.id === measure);
    if (!known) throw bad('This rule has no such measure.', measure);
    const parsed = parseMeasured(typed, known.rule);
    const read = parsed.kind === 'ok' ? [parsed] : parsed.kind === 'ask' ? parsed.options : [];
    if (!read.some((r) => Math.abs(r.value - value) <= 1e-6 * Math.max(1, Math.abs(value))))
      throw bad('The text and its value do not agree.', measure);
  }
  const view = await loadJob(tx, jobAxleId);
  if (given.leafId !== null && ![...view.leaves, ...(view.own?.leaves ?? [])].some((leaf) => leaf.id === given.leafId))
    throw bad('This pack has no such leaf.', 'leafId');
  const values = Object.fromEntries(given.values.map((v) => [v.measure, v.value]));
  const verdict = judge(rule, { choice: given.choice, values });
  if (verdict === null) throw bad('Say what was seen, or measure it in full.', rule.measures[0]?.id ?? 'choice');
  await requireRoom(tx, 'finding', jobAxleId);
  await inspect.insertFinding(tx, jobAxleId, { ...given, verdict });
  return loadJob(tx, jobAxleId);
}

/** Writes down what was found by the way; it belongs to the vehicle and stays when the job is closed. */
export async function addSideFinding(
  tx: Tx,
  jobAxleId: string,
  given: z.output<typeof newSideFindingSchema>,
): Promise<JobView> {
  const { job, vehicle } = await loadJob(tx, jobAxleId);
  await requireRoom(tx, 'side_finding', vehicle.id);
  await inspect.insertSideFinding(tx, { ...given, jobId: job.id, vehicleId: vehicle.id });
  return loadJob(tx, jobAxleId);
}

/** Closes it with evidence; it is never deleted. */
export async function finishSideFinding(
  tx: Tx,
  id: string,
  { evidence }: z.output<typeof closeSideFindingSchema>,
): Promise<{ done: true }> {
  if ((await inspect.closeSideFinding(tx, id, evidence)) === 0 && !(await inspect.isSideFinding(tx, id)))
    throw notFound('This finding');
  return { done: true };
}

export async function addFailure(
  tx: Tx,
  jobAxleId: string,
  given: z.output<typeof newFailureSchema>,
): Promise<JobView> {
  const { vehicle } = await loadJob(tx, jobAxleId);
  await inspect.insertFailure(tx, { ...given, vehicleId: vehicle.id });
  return loadJob(tx, jobAxleId);
}

/** Sets a limit of this shop in place of a rule's own, with the reason. Findings made before keep their verdict. */
export async function setShopLimit(tx: Tx, jobAxleId: string, given: NewShopLimit): Promise<JobView> {
  const limit = ruleOf(given.rule).limits.find((l) => l.verdict === given.verdict);
  if (!limit || !(given.measure in limit.when)) throw bad('This rule has no such limit.', 'measure');
  if (!(given.value > 0 && given.value <= 1000)) throw bad('That cannot be a limit here.', 'typed');
  await inspect.insertShopLimit(tx, given);
  return loadJob(tx, jobAxleId);
}

/** A stored picture. @throws ProblemError not-found */
export async function photo(tx: Tx, id: string): Promise<KeptPicture> {
  const [found] = await inspect.photoBytes(tx, id);
  if (!found) throw notFound('This picture');
  return found;
}
