'use client';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { SIDES } from '@/core/height/axleInput';
import { type AxlePrediction } from '@/core/height/predict';
import { assemble } from '@/core/measure/assemble';
import { usePrediction } from '../prediction/usePrediction';

/** The worse side's way from ride height to hanging wheels, mm; null while no spring is solved. */
export function worstDroop(prediction: AxlePrediction | null, which: 'now' | 'planned'): number | null {
  const droops = SIDES.flatMap((side) => prediction?.sides[side]?.droop?.[which] ?? []);
  return droops.length > 0 ? Math.max(...droops) : null;
}

/** Droop with the plan made; what a survey of slack is held against. */
export function usePlannedDroop(view: JobView): number | null {
  const input = useMemo(() => {
    const assembled = assemble(sheetOf(view));
    return assembled.missing.length === 0 ? assembled.input : null;
  }, [view]);
  const { prediction } = usePrediction(input, 0);
  return worstDroop(prediction, 'planned');
}
