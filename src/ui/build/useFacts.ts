'use client';
import { useMemo } from 'react';
import { storedFacts } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { assembledOf } from '@/contracts/sheet';
import { lacksOf } from '@/core/suspension/registry';
import { factsOf } from '@/core/fit/work';
import { type SolvedFacts } from '@/core/fit/mustFit';
import { usePrediction } from '../prediction/usePrediction';

/** What is known of what must fit: from the stored prediction of this plan, or solved now while there is none. */
export function useFacts(view: JobView): SolvedFacts | null {
  const stored = storedFacts(view);
  const input = useMemo(() => {
    if (storedFacts(view)) return null;
    const { input: made } = assembledOf(view);
    return lacksOf(made).length === 0 ? made : null;
  }, [view]);
  const { prediction } = usePrediction(input, 0);
  if (stored) return stored;
  return prediction ? factsOf(prediction) : null;
}
