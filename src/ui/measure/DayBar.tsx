'use client';
import { type JobView } from '@/contracts/job';
import { type NewDay } from '@/contracts/reading';
import { pressureRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { ProblemNote } from '../job/ProblemNote';
import { dayOf, type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField } from '../measured/TypedField';

const PRESSURE = pressureRule(20, 1500, 300);
const FILLS = [
  { id: '0', name: 'empty' },
  { id: '0.25', name: '1/4' },
  { id: '0.5', name: '1/2' },
  { id: '0.75', name: '3/4' },
  { id: '1', name: 'full' },
];

type Phase = NewDay['phase'];
const NO_DAY = {
  fuel: null,
  fuelAsBefore: false,
  tyrePressure: null,
  tyrePressureTyped: null,
  stance: 'ground',
} as const;

/** How full the tank is, in words. */
export const fillName = (fuel: number): string =>
  FILLS.find((f) => Number(f.id) === fuel)?.name ?? `${Math.round(fuel * 100)} %`;

interface Props {
  job: JobHandle;
  phase: Phase;
}

/** The conditions readings are taken in; they go with every reading from here on, and earlier ones keep theirs. */
export function DayBar({ job, phase }: Props) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const now = dayOf(view, phase);
  const begin = (part: Partial<NewDay>) =>
    void run(() => {
      const { fuel, fuelAsBefore, tyrePressure, tyrePressureTyped, stance } = now ?? NO_DAY;
      const day: NewDay = {
        id: crypto.randomUUID(),
        phase,
        fuel,
        fuelAsBefore,
        tyrePressure,
        tyrePressureTyped,
        stance,
        ...part,
      };
      return job.send('/days', 'POST', day);
    });
  return (
    <div aria-busy={busy}>
      <div className="facts-row">
        {view.vehicle.tankMass === 0 ? null : (
          <Chips
            label="Tank"
            shown
            options={[...FILLS, ...(phase === 'after' ? [{ id: 'same', name: beforeName(view) }] : [])]}
            value={now?.fuelAsBefore ? 'same' : now?.fuel === null || now === undefined ? null : String(now.fuel)}
            onPick={(id) =>
              begin(id === 'same' ? { fuel: null, fuelAsBefore: true } : { fuel: Number(id), fuelAsBefore: false })
            }
          />
        )}
        <Chips
          label="Weight is"
          shown
          options={[
            { id: 'ground', name: 'on the wheels' },
            { id: 'air', name: 'off, wheels hang' },
          ]}
          value={now?.stance ?? 'ground'}
          onPick={(stance) => begin({ stance })}
        />
        <TypedField
          label="Tyre pressure"
          rule={PRESSURE}
          value={
            now?.tyrePressureTyped && now.tyrePressure !== null
              ? { value: now.tyrePressure, typed: now.tyrePressureTyped }
              : null
          }
          draft={`${view.id}|pressure|${phase}`}
          onChange={({ value, typed }) => begin({ tyrePressure: value, tyrePressureTyped: typed })}
        />
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}

function beforeName(view: JobView): string {
  const fuel = dayOf(view, 'before')?.fuel;
  return fuel === null || fuel === undefined ? 'as before' : `as before (${fillName(fuel)})`;
}
