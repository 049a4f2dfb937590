'use client';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { type ShelfItem } from '@/contracts/shelf';
import { type Assembled } from '@/contracts/sheet';
import { lacksOf } from '@/core/suspension/registry';
import { type Side } from '@/core/vehicle/side';
import { call } from '../job/api';
import { useJob } from '../job/useJob';
import { usePlan } from './usePlan';

/**
 * Choose at work, whatever carries the axle: the plan as it is typed put together with the readings, and the side and load state
 * that are looked at. @param assemble of the kind, the same function at every call
 */
export function useChoose<A extends Assembled>(
  first: JobView,
  assemble: (view: JobView, changes: readonly ChangeRow[]) => A,
) {
  const job = useJob(first);
  const { view } = job;
  const plan = usePlan(job);
  const [side, setSide] = useState<Side>('left');
  const [stateId, setStateId] = useState(view.states.find((s) => s.wanted)?.id ?? view.states[0]?.id ?? '');
  const changesText = JSON.stringify(plan.changes);
  const planned = useMemo(
    () => ({ ...view, plan: { ...view.plan, changes: JSON.parse(changesText) as ChangeRow[] } }),
    [view, changesText],
  );
  const assembled = useMemo(() => assemble(planned, planned.plan.changes), [planned, assemble]);
  // Helper springs that were there carry part of today's load, whatever is chosen.
  const there = JSON.stringify(plan.changes.filter((c) => c.kind === 'helper' && c.fitted !== undefined));
  const standing = useMemo(
    () => assemble(view, JSON.parse(there) as ChangeRow[]).input as A['input'],
    [view, assemble, there],
  );
  const parts = useQuery({
    queryKey: ['job-parts', view.id],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${view.id}/parts`, 'GET'),
  });
  const lacks = lacksOf(assembled.input);
  return {
    ...{ job, view, plan, planned, changesText, side, setSide, stateId, setStateId },
    /** With the plan, and as the axle stands without one. */
    ...{ assembled, standing },
    /** What is wanting before the plan can be predicted. */
    ...{ lacks, ready: lacks.length === 0 },
    /** What the shelf holds for this axle; undefined while it is fetched. */
    shelf: parts.data,
  };
}
export type Choosing = ReturnType<typeof useChoose>;
