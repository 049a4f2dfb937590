// Choose: the plan of a job.
import { type JobView, type PlanEdit } from '@/contracts/job';
import { conflict, ProblemError } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import * as plans from '@/data/plan';
import { loadJob } from './jobs';

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
