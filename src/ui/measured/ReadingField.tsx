'use client';
import { type ReactNode } from 'react';
import { type NewReading } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { pointOf, type PointId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { doubtOf, ruleOn } from '@/core/measure/plausible';
import { useLengthText } from './Figure';
import { MeasuredInput } from './MeasuredInput';
import { useQuantityText } from './Quantity';

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
  onText?: (text: string) => void;
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
  const { label } = pointOf(point);
  const rule = ruleOn(point, job.view.axle.axleClass);
  const at = { point, phase, side: side ?? null, leafId: leafId ?? null, stateId: stateId ?? null };
  const reading = job.at(at);
  const lengthText = useLengthText();
  const massText = useQuantityText();
  const opposite = side && job.at({ ...at, side: side === 'left' ? 'right' : 'left' });
  const doubt = (value: number): string | null => {
    const found = doubtOf(point, value, { other: opposite?.value, earlier: reading?.value });
    if (!found) return null;
    const text =
      rule.dimension === 'length'
        ? lengthText(found.value)
        : rule.dimension === 'mass'
          ? massText(found.value, 'mass')
          : `${((found.value * 180) / Math.PI).toFixed(0)}°`;
    return found.against === 'other'
      ? `The other side reads ${text}. Is this one right?`
      : `It read ${text} before. Is this one right?`;
  };
  const name = `${rest.label ?? label}${side ? `, ${side}` : ''}`;
  return (
    <MeasuredInput
      label={rest.label ?? (side ? name : label)}
      spoken={rest.spoken ?? name}
      rule={rule}
      stored={
        reading
          ? {
              ...{ typed: reading.typed, version: reading.id, value: reading.value, unit: reading.unit },
              ...{ by: reading.person, ...(reading.instrument === 'sister' && { lent: 'read on its sister' }) },
            }
          : null
      }
      draft={`${job.view.id}|${readingKey(at)}`}
      anchor={readingKey(at)}
      assumed={rest.assumed}
      {...(rest.onFocus && { onFocus: rest.onFocus })}
      {...(rest.onText && { onText: rest.onText })}
      {...(rest.onEntered && { onEntered: rest.onEntered })}
      doubt={doubt}
      onSave={(typed, { value, unit }, base, correctionReason) =>
        job.saveReading(
          {
            ...at,
            typed,
            value,
            unit,
            rolled,
            instrument: INSTRUMENT[point] ?? 'tape',
            ...(correctionReason && { correctionReason }),
          },
          base,
          rest.path,
        )
      }
    />
  );
}
