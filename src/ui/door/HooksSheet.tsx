'use client';
import { useState } from 'react';
import { type Hook } from '@/contracts/program';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

interface Answer {
  secret?: string;
  hooks: Hook[];
}

/** Addresses that are told of every check that falls due, and whether they hear it. */
export function HooksSheet({ hooks: first }: { hooks: Hook[] }) {
  const { busy, problem, run } = useSend();
  const [{ secret, hooks }, setAnswer] = useState<Answer>({ hooks: first });
  const [url, setUrl] = useState('');
  return (
    <Sheet title="Told of checks that fall due">
      {secret ? (
        <p role="status">
          With this secret the receiver sees that a word is of this server; it is shown once:{' '}
          <span className="figure told-address">{secret}</span>
        </p>
      ) : null}
      {hooks.length === 0 ? <p className="muted">No address is told.</p> : null}
      <ul className="door-rows">
        {hooks.map((h) => (
          <li key={h.id}>
            <strong className="told-address">{h.url}</strong>
            <span className="muted">
              {h.told} told, {h.waiting} waiting
              {h.failed > 0 ? ', ' : ''}
              {h.failed > 0 ? <Marked kind="look">{h.failed} came to nothing</Marked> : null}
              {h.problem ? `: ${h.problem}` : ''}
            </span>
            <button
              type="button"
              className="act quiet"
              disabled={busy}
              onClick={() => void run(async () => setAnswer(await call<Answer>(`/api/hooks/${h.id}`, 'DELETE')))}
            >
              End it
            </button>
          </li>
        ))}
      </ul>
      <form
        className="acts"
        onSubmit={(event) => {
          event.preventDefault();
          void run(async () => {
            setAnswer(await call<Answer>('/api/hooks', 'POST', { id: crypto.randomUUID(), url }));
            setUrl('');
          });
        }}
      >
        <TextField label="Address, https://…" value={url} onChange={setUrl} most={500} />
        <button type="submit" className="act quiet" disabled={busy || url.trim() === ''}>
          Tell it
        </button>
      </form>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
