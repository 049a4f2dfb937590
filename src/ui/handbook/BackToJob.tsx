'use client';
import Link from 'next/link';
import { useState } from 'react';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

/** The way back to the job that a sum was opened from; its answer can be handed to the job's list of what is to buy or to make. */
export function BackToJob({ job, title }: { job: string; title: string }) {
  const { busy, problem, run } = useSend();
  const [kept, setKept] = useState('');
  const keep = () => {
    // As it stands on the screen, in the units it was read in.
    const lead = document.querySelector('[data-testid=answer] .verdict-great');
    const [label, value] = [lead?.querySelector('span')?.textContent, lead?.querySelector('strong')?.textContent];
    const what = `${title}: ${label ?? ''} ${value ?? ''}`.trim().slice(0, 120);
    void run(async () => {
      await call(`/api/jobs/${job}/kit`, 'POST', { id: crypto.randomUUID(), what, wanted: 1, state: 'notInKit' });
      setKept(what);
    });
  };
  return (
    <div className="acts no-print">
      <Link className="act quiet" href={`/jobs/${job}/check`} prefetch={false}>
        Back to the job
      </Link>
      <button type="button" className="act quiet" disabled={busy} onClick={keep}>
        Put this answer on its list
      </button>
      {kept ? (
        <p role="status" className="muted">
          On the list to buy: {kept}
        </p>
      ) : null}
      <ProblemNote problem={problem} />
    </div>
  );
}
