'use client';
import Link from 'next/link';
import { type ChangeRow } from '@/contracts/plan';
import { planParts } from '@/contracts/planParts';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useWords } from '../measured/Quantity';

/** What the plan takes, for both sides, and which of it stands on the job's list to buy. */
export function PartsSheet({ job, changes }: { job: JobHandle; changes: readonly ChangeRow[] }) {
  const { axle, kit, id } = job.view;
  const { busy, problem, run } = useSend();
  const words = useWords();
  const parts = planParts(axle.suspension, changes);
  const listed = (what: string) => kit.some((item) => item.what === what);
  const open = parts.filter((part) => !listed(part.what));
  const put = () =>
    void run(async () => {
      for (const part of open) await job.send('/kit', 'POST', { id: crypto.randomUUID(), ...part, state: 'notInKit' });
    });
  return (
    <>
      <h3>What this plan takes, both sides</h3>
      <ProblemNote problem={problem} />
      {parts.length === 0 ? <p className="muted">Nothing to buy or to make.</p> : null}
      <ul className="stored" data-testid="plan-parts">
        {parts.map(({ what, wanted }) => (
          <li key={what}>
            <span className="figure">{wanted}</span> {words(what)}{' '}
            {listed(what) ? <Marked kind="done">on the list</Marked> : <span className="muted">not on the list</span>}
          </li>
        ))}
      </ul>
      {open.length > 0 ? (
        <button type="button" className="act quiet" disabled={busy} onClick={put}>
          Put {open.length} on the list to buy
        </button>
      ) : parts.length > 0 ? (
        <p>
          <Link className="link" href={`/jobs/${id}/ask#kit`} prefetch={false}>
            The list, with what the kit brings
          </Link>
        </p>
      ) : null}
    </>
  );
}
