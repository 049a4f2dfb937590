'use client';
import { useMemo } from 'react';
import { liftOf, type Lift } from '@/contracts/lifting';
import { type JobView } from '@/contracts/job';
import { type ToolRow } from '@/contracts/tool';
import { useTravel } from '../check/useTravel';

/** How high the vehicle is held while it is worked on, with the droop solved as the plan is now. */
export function useLift(view: JobView, tools: readonly ToolRow[]): Lift {
  const { travel } = useTravel(view, view.plan.changes, view.states[0]?.id ?? '');
  return useMemo(() => liftOf(view, travel, tools), [view, tools, travel]);
}
