// Choose: the plan of a job.
import { type JobView } from '@/contracts/job';
import { type PlanEdit } from '@/contracts/plan';
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
  const kinds = edit.changes.map((c) => c.kind).filter((k) => k !== 'addLeaf' && k !== 'removeLeaf');
  if (new Set(kinds).size < kinds.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'A plan holds one block, one shackle and one conversion at most; blocks are never stacked.',
      field: 'changes',
    });
  const out = edit.changes.flatMap((c) => (c.kind === 'removeLeaf' ? [c.leaf] : []));
  const swap = edit.changes.find((c) => c.kind === 'pack');
  const there = swap?.leaves.length ?? before.leaves.length;
  if (out.some((leaf) => leaf > there) || new Set(out).size < out.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: `The pack has ${there} leaves; each but the main leaf can be taken out once.`,
      field: 'leaf',
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
