'use client';
import { useState } from 'react';
import { type Program } from '@/contracts/program';
import { SCOPE_IDS, SCOPES, type Scope } from '@/contracts/programScopes';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

interface Answer {
  token?: string;
  programs: Program[];
}
const DAYS = { '30': 'a month', '365': 'a year' } as const;

/** Tokens with which programs of others read, and write readings: each may only what it was allowed. */
export function ProgramsSheet({ programs: first }: { programs: Program[] }) {
  const { busy, problem, run } = useSend();
  const [{ token, programs }, setAnswer] = useState<Answer>({ programs: first });
  const [name, setName] = useState('');
  const [scopes, setScopes] = useState<readonly Scope[]>(['read-jobs']);
  const [days, setDays] = useState<keyof typeof DAYS>('365');
  const make = () =>
    run(async () => {
      const given = { id: crypto.randomUUID(), name, scopes, days: Number(days) };
      setAnswer(await call<Answer>('/api/programs', 'POST', given));
      setName('');
    });
  return (
    <Sheet
      title="Programs of others"
      aside={
        <a className="link" href="/api/v1/openapi.json">
          how they ask
        </a>
      }
    >
      {token ? (
        <p role="status">
          Give the program this token; it is shown once: <span className="figure told-address">{token}</span>
        </p>
      ) : null}
      {programs.length === 0 ? <p className="muted">None has a token.</p> : null}
      <ul className="door-rows">
        {programs.map((p) => (
          <li key={p.id}>
            <strong>{p.name}</strong>
            <span className="muted">
              may {p.scopes.map((s) => SCOPES[s as Scope] ?? s).join(', ')}; made by {p.by}, ends{' '}
              <Clock at={p.endsAt} what="day" />
              {p.usedAt ? (
                <>
                  , last used <Clock at={p.usedAt} />
                </>
              ) : (
                ', not used yet'
              )}
            </span>
            <button
              type="button"
              className="act quiet"
              disabled={busy}
              onClick={() => void run(async () => setAnswer(await call<Answer>(`/api/programs/${p.id}`, 'DELETE')))}
            >
              Take it back
            </button>
          </li>
        ))}
      </ul>
      <form
        className="acts"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
      >
        <TextField label="What the program is" value={name} onChange={setName} most={60} />
        <div className="choice">
          <span className="choice-label">it may</span>
          <div className="chips" role="group" aria-label="What it may">
            {SCOPE_IDS.map((scope) => (
              <button
                key={scope}
                type="button"
                aria-pressed={scopes.includes(scope)}
                onClick={() =>
                  setScopes(scopes.includes(scope) ? scopes.filter((s) => s !== scope) : [...scopes, scope])
                }
              >
                {SCOPES[scope]}
              </button>
            ))}
          </div>
        </div>
        <Chips
          label="for"
          shown
          options={Object.entries(DAYS).map(([id, says]) => ({ id: id as keyof typeof DAYS, name: says }))}
          value={days}
          onPick={setDays}
        />
        <button type="submit" className="act quiet" disabled={busy || name.trim() === '' || scopes.length === 0}>
          Make a token
        </button>
      </form>
      <p className="muted small">
        It acts for whoever made it, is written down with their name, and ends when they leave.
      </p>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
