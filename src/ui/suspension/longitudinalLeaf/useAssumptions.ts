'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { rankAssumptions, trialLeaf } from '@/core/suspension/longitudinalLeaf/narrowing';
import { usePrediction } from '../../prediction/usePrediction';
import { type Assumptions } from '../../measure/assumptions';
import { asItStands, worstTravel } from '@/core/travel/hubTravel';

/** What nobody read, ranked by what it does to the planned height; null while it is not known. */
export function useAssumptions(view: JobView, complete: boolean): Assumptions | null {
  const by = view.plan.changes.length > 0 ? 'plan' : 'trial';
  const input = useMemo(() => {
    if (!complete) return null;
    const sheet = sheetOf(view);
    if (by === 'plan') return assemble(sheet).input;
    const trial = trialLeaf(sheet);
    return trial ? assemble({ ...sheet, changes: [trial] }).input : null;
  }, [view, complete, by]);
  const { prediction } = usePrediction(input, 0, true);
  return useMemo(() => {
    const side = prediction?.sides.left ?? prediction?.sides.right;
    const wanted = view.states.findIndex((s) => s.wanted);
    const state = side?.states[wanted] ?? side?.states[0];
    if (!input || !state || state.contributions.length === 0) return null;
    const travel = worstTravel(prediction?.sides);
    return {
      ranked: rankAssumptions(input, state.contributions, state.firstOrder),
      by,
      trial: 'one more leaf like the second',
      half: state.firstOrder,
      travel: travel && by === 'trial' ? asItStands(travel) : travel,
    };
  }, [input, prediction, view, by]);
}
