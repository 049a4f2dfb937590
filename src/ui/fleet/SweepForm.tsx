'use client';
import { useState } from 'react';
import { type NewSweep, type Sweep, type Sweepable } from '@/contracts/fleet';
import { lengthRule } from '@/core/units/rules';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';

/** Which job's plans are tried, on every vehicle with its pack, and how high they should stand. */
export function SweepForm({ sweepable, onAsked }: { sweepable: Sweepable[]; onAsked: (sweep: Sweep) => void }) {
  const [job, setJob] = useState(sweepable[0]?.jobAxleId ?? '');
  const [least, setLeast] = useState<Typed | null>(null);
  const [tolerance, setTolerance] = useState<Typed>({ typed: '5 mm', value: 5 });
  const { busy, problem, run } = useSend();
  const picked = sweepable.find((s) => s.jobAxleId === job);
  if (sweepable.length === 0)
    return <p className="muted">No job has a plan yet. Choose one at a vehicle; then the others are tried with it.</p>;
  const ask = () =>
    void run(async () => {
      if (!least) return;
      const sweep: NewSweep = {
        ...{ id: crypto.randomUUID(), jobAxleId: job, least: least.value, leastTyped: least.typed },
        ...{ tolerance: tolerance.value, toleranceTyped: tolerance.typed },
      };
      onAsked(await call<Sweep>('/api/fleet', 'POST', sweep));
    });
  return (
    <form
      className="sweep-form"
      onSubmit={(event) => {
        event.preventDefault();
        ask();
      }}
    >
      <div className="grid-fields">
        <label className="field">
          <span>Plans of</span>
          <select value={job} onChange={(event) => setJob(event.target.value)}>
            {sweepable.map((s) => (
              <option key={s.jobAxleId} value={s.jobAxleId}>
                {s.vehicle}, {s.position}: {s.plans.join(', ')}
              </option>
            ))}
          </select>
        </label>
        <TypedField
          label="Hub to lip at least, as they stand"
          rule={lengthRule(50, 2000)}
          value={least}
          draft="fleet|least"
          onChange={setLeast}
        />
        <TypedField
          label="Right as low as that less"
          rule={lengthRule(0, 100)}
          value={tolerance}
          draft="fleet|tolerance"
          onChange={setTolerance}
        />
      </div>
      <p className="muted">
        {picked
          ? `${picked.alike} ${picked.alike === 1 ? 'axle' : 'axles'} of its kind at its place are looked at; those with another pack are told as unlike.`
          : ''}
      </p>
      <div className="acts">
        <button type="submit" className="act" disabled={busy || !least}>
          Sweep the fleet
        </button>
      </div>
      <ProblemNote problem={problem} />
    </form>
  );
}
