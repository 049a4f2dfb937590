'use client';
import { type PlanRow } from '@/contracts/plan';
import { changeText } from '@/contracts/planText';
import { sheetOf } from '@/contracts/sheet';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { type Candidate } from '@/core/selection/generate';
import { type StockPart } from '@/core/selection/parts';
import { type Ranked } from '@/core/selection/search';
import { type UboltFacts } from '@/core/selection/uboltNeed';
import { useCompare } from '../../candidates/useSearch';
import { type JobHandle } from '../../job/useJob';

/** A plan told as a candidate, to stand beside the others. */
function planAsCandidate(
  plan: Pick<PlanRow, 'id' | 'name' | 'changes'>,
  job: JobHandle,
  stock: readonly StockPart[],
): Candidate {
  const { input } = assemble(sheetOf(job.view, plan.changes));
  const parts = plan.changes.flatMap((change) => {
    const id = 'partId' in change ? change.partId : undefined;
    const part = stock.find((p) => p.id === id);
    return part
      ? [
          {
            id: part.id,
            name: part.name,
            count: 2,
            price: part.price === null ? null : 2 * part.price,
            days: part.days,
            used: part.used,
          },
        ]
      : [];
  });
  // What no part stands for has no price that anybody knows; taking something out costs nothing.
  const unpriced = plan.changes.filter(
    (c) => !('partId' in c && c.partId) && c.kind !== 'removeLeaf' && !(c.kind === 'block' && c.height === 0),
  );
  return {
    id: plan.id,
    name: plan.name,
    ways: [],
    changes: input.changes.filter((c) => c.kind !== 'mendLeaf'),
    sources: [],
    parts,
    made: unpriced.map(changeText),
    rating: null,
  };
}

interface Standing {
  /** The axle as it stands, without a plan. */
  input: LeafAxleInput;
  stock: readonly StockPart[];
  ubolts: UboltFacts;
}

/**
 * The job's own plans with their figures, for the height that is asked for. @param least fewer than these are not solved
 */
export function useOwnPlans(
  job: JobHandle,
  { input, stock, ubolts }: Standing,
  least: number,
): { plans: Ranked[]; solving: boolean; fault: string | null } {
  const { view } = job;
  const filled = view.plans.filter((p) => p.changes.length > 0);
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const solvable = input.sides.left.spring ?? input.sides.right.spring;
  const { found, solving, fault } = useCompare(
    solvable && filled.length >= least
      ? {
          input,
          parts: stock,
          ubolts,
          wanted: { stateId: wanted.id, change: view.job.wantedChange },
          compare: filled.map((p) => planAsCandidate(p, job, stock)),
        }
      : null,
  );
  return { plans: found.filter((r) => r !== null), solving, fault };
}
