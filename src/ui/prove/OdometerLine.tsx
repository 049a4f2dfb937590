'use client';
import { distanceRule } from '@/core/units/rules';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField } from '../measured/TypedField';

const ODOMETER = distanceRule(0, 1e7);

/** How far the vehicle has been driven: checks fall due by distance as well as by day. */
export function OdometerLine({ job }: { job: JobHandle }) {
  const { problem, run } = useSend();
  const { odometer, job: own } = job.view;
  return (
    <>
      <TypedField
        label="Odometer now"
        rule={ODOMETER}
        value={odometer && { typed: odometer.typed, value: odometer.km }}
        draft={`${own.id}|odometer`}
        hint="checks fall due by distance too"
        onChange={({ value, typed }) =>
          void run(() => job.send('/odometer', 'POST', { id: crypto.randomUUID(), km: value, typed }))
        }
      />
      <ProblemNote problem={problem} />
    </>
  );
}
