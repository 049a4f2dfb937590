'use client';
import { useState } from 'react';
import { Chips } from '../controls/Chips';
import { type JobHandle } from '../job/useJob';
import { type FieldHooks } from './FieldOfSheet';
import { againFields } from './fields';
import { FieldGrid } from './GroupFields';

/** The same spring read again with another load aboard: checks the first reading and teaches the rate. */
export function SecondLoad({ job, ...hooks }: FieldHooks & { job: JobHandle }) {
  const others = job.view.states.slice(1);
  const [picked, setPicked] = useState(others[0]?.id ?? '');
  const stateId = others.some((s) => s.id === picked) ? picked : (others[0]?.id ?? '');
  if (others.length === 0)
    return <p className="muted">A second load state can be named in Ask; then it is read here.</p>;
  return (
    <>
      <div className="facts-row">
        <Chips
          label="Read again with"
          shown
          options={others.map((s) => ({ id: s.id, name: s.name }))}
          value={stateId}
          onPick={setPicked}
        />
      </div>
      <FieldGrid key={stateId} job={job} fields={againFields(job.view, stateId)} {...hooks} />
    </>
  );
}
