'use client';
import { useState } from 'react';
import { failureHistory } from '@/core/inspection/failures';
import { distanceRule } from '@/core/units/rules';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';
import { Quantity } from '../measured/Quantity';

const KM = distanceRule(0, 1e7);

/** What broke before on this vehicle: where and at which distance. The same place twice is a cause to be found. */
export function FailureSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [place, setPlace] = useState('');
  const [km, setKm] = useState<Typed | null>(null);
  const [cause, setCause] = useState('');
  const farthest = Math.max(0, ...view.failures.map((f) => f.km));
  const history = failureHistory(view.failures, 0, farthest);
  const add = () =>
    void run(async () => {
      await job.send('/failures', 'POST', { id: crypto.randomUUID(), place, km: km!.value, kmTyped: km!.typed, cause });
      setPlace('');
      setKm(null);
      setCause('');
    });
  return (
    <Sheet
      title="What broke before"
      aside={
        history.kmPerFailure === null ? (
          <span className="muted">nothing written down</span>
        ) : (
          <span className="muted">
            one in <Quantity value={history.kmPerFailure} of="distance" />
          </span>
        )
      }
    >
      {history.repeated.map(({ place: where, times }) => (
        <p key={where} data-testid="repeat">
          <Marked kind="look">
            {where} has failed {times} times. Before the same part goes in again: load, rating, shackle, clamp and seat.
          </Marked>
        </p>
      ))}
      <ul className="stored">
        {view.failures.map((f) => (
          <li key={f.id}>
            <Quantity value={f.km} of="distance" /> {f.place}{' '}
            <span className="muted">{[f.cause, f.person].filter(Boolean).join(', ')}</span>
          </li>
        ))}
      </ul>
      <div className="grid-fields tight">
        <TextField label="Where it broke" most={120} value={place} onChange={setPlace} />
        <TypedField label="Odometer" rule={KM} value={km} draft={`${view.id}|failure`} onChange={setKm} />
        <TextField label="Likely cause" most={300} value={cause} onChange={setCause} />
      </div>
      <button type="button" className="act quiet" disabled={busy || place.trim() === '' || !km} onClick={add}>
        Add this failure
      </button>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
