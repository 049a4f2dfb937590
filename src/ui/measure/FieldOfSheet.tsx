'use client';
import { pointOf } from '@/core/measure/points';
import { HEIGHT_POINTS } from '@/core/sheet/common';
import { type JobHandle } from '../job/useJob';
import { ReadingField } from '../measured/ReadingField';
import { assumedText } from './assumedText';
import { pointName, spokenField, type FieldAt } from './fields';

/** What every field of the sheet is told. */
export interface FieldHooks {
  /** Rolled or bounced before the heights; goes with the heights only. */
  rolled: boolean | null;
  onFocus: (at: FieldAt) => void;
}

interface Props extends FieldHooks {
  job: JobHandle;
  at: FieldAt;
  /** Shorter than the point's own label, in a row that says the rest. */
  label?: string;
  onEntered?: () => void;
  onText?: (text: string) => void;
}

/** One field of the measuring sheet. */
export function FieldOfSheet({ job, at, rolled, onFocus, label, onEntered, onText }: Props) {
  const { point, side, leafId, stateId } = at;
  const name = label ?? pointName(job.view, point);
  const own = name === pointOf(point).label ? label : (label ?? (side ? `${name}, ${side}` : name));
  return (
    <ReadingField
      job={job}
      point={point}
      rolled={HEIGHT_POINTS.includes(point) ? rolled : null}
      spoken={spokenField(job.view, at)}
      assumed={assumedText(job.view, point)}
      onFocus={() => onFocus(at)}
      {...(own && { label: own })}
      {...(onEntered && { onEntered })}
      {...(onText && { onText })}
      {...(side && { side })}
      {...(leafId && { leafId })}
      {...(stateId && { stateId })}
    />
  );
}
