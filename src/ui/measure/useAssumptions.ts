'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { rankAssumptions, trialLeaf, type Assumption } from '@/core/suspension/longitudinalLeaf/narrowing';
import { usePrediction } from '../prediction/usePrediction';
import { asItStands, worstTravel, type HubTravel } from '@/core/travel/hubTravel';

export interface Assumptions {
  ranked: Assumption[];
  /** Whether they were ranked by the plan, or by a leaf that is only tried. */
  by: 'plan' | 'trial';
  /** 90 % half-width of the height they were ranked on, mm. */
  half: number;
  /** Where the hub goes, with the plan where there is one. */
  travel: HubTravel | null;
}

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
      half: state.firstOrder,
      travel: travel && by === 'trial' ? asItStands(travel) : travel,
    };
  }, [input, prediction, view, by]);
}
