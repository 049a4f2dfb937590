'use client';
import { useState } from 'react';
import { type CalendarLink } from '@/contracts/door';
import { Sheet } from '../controls/Sheet';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

interface Answer {
  path?: string;
  link: CalendarLink | null;
}

/** One address that the phones of the shop read the checks to come from. */
export function CalendarFeed({ first }: { first: CalendarLink | null }) {
  const { busy, problem, run } = useSend();
  const [{ path, link }, setAnswer] = useState<Answer>({ link: first });
  const ask = (method: 'POST' | 'DELETE') =>
    run(async () =>
      setAnswer(await call<Answer>('/api/feeds', method, method === 'POST' ? { id: crypto.randomUUID() } : undefined)),
    );
  return (
    <Sheet title="Checks to come, in a phone’s calendar">
      {path ? (
        <p role="status">
          Subscribe to this address; it is shown once:{' '}
          <span className="figure told-address">{`${window.location.origin}${path}`}</span>
        </p>
      ) : link ? (
        <p className="muted">
          An address made by {link.by}, <Clock at={link.madeAt} what="day" />, is alive.
        </p>
      ) : (
        <p className="muted">
          There is none. Whoever has it sees vehicles and what is due of them, nothing else, until it is taken back.
        </p>
      )}
      <ProblemNote problem={problem} />
      <div className="acts">
        <button type="button" className="act quiet" disabled={busy} onClick={() => void ask('POST')}>
          {link ? 'Make another, the old one ends' : 'Make an address'}
        </button>
        {link ? (
          <button type="button" className="act quiet" disabled={busy} onClick={() => void ask('DELETE')}>
            Take it back
          </button>
        ) : null}
      </div>
    </Sheet>
  );
}
