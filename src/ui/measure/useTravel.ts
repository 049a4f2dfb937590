'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { missingFor } from '@/core/height/predict';
import { assemble } from '@/core/measure/assemble';
import { type HubTravel, worstTravel } from '@/core/travel/hubTravel';
import { usePrediction } from '../prediction/usePrediction';

/** Where the hub goes with the plan made; what a survey of slack is held against. null while it is not known. */
export function useTravel(view: JobView): HubTravel | null {
  const input = useMemo(() => {
    const assembled = assemble(sheetOf(view));
    return missingFor(assembled.input).length === 0 ? assembled.input : null;
  }, [view]);
  const { prediction } = usePrediction(input, 0);
  return worstTravel(prediction?.sides);
}
