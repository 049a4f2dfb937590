'use client';
import { type ReactNode } from 'react';
import { readingKey, type NewReading } from '@/contracts/job';
import { pointOf, type PointId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { MeasuredInput } from './MeasuredInput';

interface Props {
  job: JobHandle;
  point: PointId;
  side?: 'left' | 'right';
  leafId?: string;
  stateId?: string;
  phase?: 'before' | 'after';
  rolled?: boolean | null;
  label?: string;
  spoken?: string;
  assumed?: ReactNode;
  /** Route below the job that takes the reading. */
  path?: string;
  onFocus?: () => void;
  onEntered?: () => void;
}

const INSTRUMENT: Partial<Record<PointId, NewReading['instrument']>> = {
  leafThickness: 'caliper',
  leafWidth: 'caliper',
  blockHeight: 'caliper',
  uboltPitch: 'gauge',
  shackleAngle: 'gauge',
  padLoad: 'scale',
  axleLoad: 'estimate',
  unsprungMass: 'estimate',
  tyreRate: 'estimate',
};

/** A measured input bound to one point of a job's measuring sheet. */
export function ReadingField({ job, point, side, leafId, stateId, phase = 'before', rolled = null, ...rest }: Props) {
  const { rule, label } = pointOf(point);
  const at = { point, phase, side: side ?? null, leafId: leafId ?? null, stateId: stateId ?? null };
  const reading = job.at(at);
  const name = `${rest.label ?? label}${side ? `, ${side}` : ''}`;
  return (
    <MeasuredInput
      label={rest.label ?? (side ? name : label)}
      spoken={rest.spoken ?? name}
      rule={rule}
      stored={
        reading
          ? { typed: reading.typed, version: reading.id, value: reading.value, unit: reading.unit, by: reading.person }
          : null
      }
      draft={`${job.view.job.id}|${readingKey(at)}`}
      anchor={readingKey(at)}
      assumed={rest.assumed}
      {...(rest.onFocus && { onFocus: rest.onFocus })}
      {...(rest.onEntered && { onEntered: rest.onEntered })}
      onSave={(typed, { value, unit }, base) =>
        job.saveReading({ ...at, typed, value, unit, rolled, instrument: INSTRUMENT[point] ?? 'tape' }, base, rest.path)
      }
    />
  );
}
