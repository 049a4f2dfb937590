'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type CopyJob } from '@/contracts/copy';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

type Kind = CopyJob['to']['kind'];
const KINDS = [
  { id: 'next', name: 'this vehicle again' },
  { id: 'sister', name: 'a vehicle made alike' },
] as const;
const COMES_ALONG: Record<Kind, string> = {
  next: 'Loads, goals and what the work left as it was come along, with who read it and when. Heights, arch and whatever the work touched are read anew.',
  sister:
    'The plan, loads and ratings come along, and sizes of parts as figures of its sister: they count for less until somebody reads them there. Heights, loads, arch and play are read on the vehicle itself.',
};

/** The next job begun with what this one knows. */
export function NextJob({ job }: { job: JobHandle }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [id] = useState(() => crypto.randomUUID());
  const [kind, setKind] = useState<Kind>('next');
  const [complaint, setComplaint] = useState('');
  const [name, setName] = useState('');
  const ready = complaint.trim() !== '' && (kind === 'next' || name.trim() !== '');
  const begin = () =>
    run(async () => {
      const to: CopyJob['to'] = kind === 'next' ? { kind } : { kind, name };
      const made = await call<{ id: string }>(`/api/jobs/${job.view.id}/copy`, 'POST', { id, complaint, to });
      router.push(`/jobs/${made.id}/ask`);
    });
  return (
    <div className="dock-columns">
      <section aria-label="Next job">
        <Chips<Kind> label="Begin a job on" shown options={KINDS} value={kind} onPick={setKind} />
        {kind === 'sister' ? (
          <TextField label="Name of the other vehicle" most={120} value={name} onChange={setName} />
        ) : null}
        <TextField label="What is wrong this time" most={500} value={complaint} onChange={setComplaint} />
        <ProblemNote problem={problem} />
        <div className="acts">
          <button type="button" className="act" disabled={!ready || busy} onClick={() => void begin()}>
            Open the job
          </button>
        </div>
      </section>
      <p className="muted">{COMES_ALONG[kind]} A job is of both sides already: the other side needs no copy.</p>
    </div>
  );
}
