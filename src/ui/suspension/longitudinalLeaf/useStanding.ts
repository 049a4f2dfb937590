'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { assemble, type Assembled } from '@/core/suspension/longitudinalLeaf/assemble';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/onPage';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { usePrediction, type LivePreview } from '../../prediction/usePrediction';

export interface Standing extends Pick<LivePreview<LeafPrediction>, 'prediction' | 'refused' | 'progress'> {
  assembled: Assembled;
  /** Every minimal reading is there. */
  complete: boolean;
  /** How many typical values stand in, for a dotted drawing only. */
  filled: number;
  /** What was solved: no change planned. */
  input: LeafAxleInput;
}

/** The axle as it stands, solved from its readings; typical values stand in for the drawing where readings are missing. */
export function useStanding(view: JobView): Standing {
  const assembled = useMemo(() => assemble(sheetOf(view)), [view]);
  const complete = assembled.missing.length === 0;
  const drawn = useMemo(() => {
    if (complete) return { input: { ...assembled.input, changes: [] }, filled: 0 };
    const stand = provisional(sheetOf(view, []));
    return { input: { ...assemble(stand.sheet).input, changes: [] }, filled: stand.filled };
  }, [view, assembled, complete]);
  const { prediction, refused, progress } = usePrediction(drawn.input, 0);
  return { assembled, complete, ...drawn, prediction, refused, progress };
}
