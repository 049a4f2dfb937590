import { keepDraft } from '../measured/useKept';
import { EMPTY_JOB, NEW_JOB } from '../ask/newJobDraft';
import { type QuickChange } from '@/core/quick/quickAnswer';
import { type Typed } from '../measured/TypedField';

export type QuickField = 'axleLoad' | 'eyeToEye' | 'leaves' | 'width' | 'thickness' | 'camber' | QuickChange;

/** A quick question as it is typed. */
export interface QuickDraft {
  change: QuickChange;
  values: Partial<Record<QuickField, Typed>>;
}

/** What of a quick answer is a reading of the job made of it. */
const READS = { axleLoad: 'axleLoad', eyeToEye: 'eyeToEye', width: 'leafWidth', thickness: 'leafThickness' } as const;

/** Lays what was typed into the form of a new job; its readings go to the job when it is opened. */
export function carryToJob({ values }: QuickDraft): void {
  const readings = (Object.keys(READS) as (keyof typeof READS)[]).flatMap((id) => {
    const typed = values[id];
    return typed ? [{ point: READS[id], ...typed }] : [];
  });
  const leafCount = values.leaves ? Math.round(values.leaves.value) : EMPTY_JOB.leafCount;
  keepDraft(NEW_JOB, { ...EMPTY_JOB, leafCount, readings });
}
