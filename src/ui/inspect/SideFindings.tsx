'use client';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type SideFinding } from '@/contracts/sideFinding';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

const URGENCY = { now: 'now', soon: 'soon', nextVisit: 'next visit' } as const;
type Urgency = keyof typeof URGENCY;

/** Leaks, worn shocks, a torn boot: what was seen by the way. It belongs to the vehicle and outlives this job. */
export function SideFindings({ job }: { job: JobHandle }) {
  const { busy, problem, run } = useSend();
  const [what, setWhat] = useState('');
  const [urgency, setUrgency] = useState<Urgency>('soon');
  const add = () =>
    void run(async () => {
      await job.send('/side-findings', 'POST', { id: crypto.randomUUID(), what, urgency });
      setWhat('');
    });
  return (
    <Sheet title="Seen by the way" aside={<span className="muted">stays with the vehicle</span>}>
      <ul className="stored" data-testid="side-findings">
        {job.view.sideFindings.map((f) => (
          <SideFindingLine key={f.id} job={job} finding={f} />
        ))}
      </ul>
      <TextField label="What was seen" most={300} value={what} onChange={setWhat} />
      <div className="acts">
        <Chips
          label="How urgent"
          options={(Object.keys(URGENCY) as Urgency[]).map((id) => ({ id, name: URGENCY[id] }))}
          value={urgency}
          onPick={setUrgency}
        />
        <button type="button" className="act" disabled={busy || what.trim() === ''} onClick={add}>
          Write it down
        </button>
      </div>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}

function SideFindingLine({ job, finding }: { job: JobHandle; finding: SideFinding }) {
  const client = useQueryClient();
  const { busy, problem, run } = useSend();
  const [evidence, setEvidence] = useState<string | null>(null);
  const close = () =>
    void run(async () => {
      await call(`/api/side-findings/${finding.id}`, 'POST', { evidence });
      await client.invalidateQueries({ queryKey: ['job', job.view.id] });
      setEvidence(null);
    });
  return (
    <li>
      <Marked kind={finding.doneAt ? 'done' : finding.urgency === 'now' ? 'look' : 'untouched'}>
        {finding.what}, {finding.doneAt ? `done: ${finding.evidence ?? ''}` : URGENCY[finding.urgency]}
      </Marked>{' '}
      <span className="muted">
        {finding.person}, <Clock at={finding.foundAt} what="day" />
      </span>{' '}
      {finding.doneAt ? null : evidence === null ? (
        <button type="button" className="link" onClick={() => setEvidence('')}>
          done
        </button>
      ) : (
        <>
          <TextField
            label="What was done"
            spoken={`What was done about ${finding.what}`}
            most={300}
            value={evidence}
            onChange={setEvidence}
          />
          <button type="button" className="act quiet" disabled={busy || evidence.trim().length < 3} onClick={close}>
            Close it
          </button>
        </>
      )}
      <ProblemNote problem={problem} />
    </li>
  );
}
