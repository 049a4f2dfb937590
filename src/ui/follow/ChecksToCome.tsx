'use client';
import { useQueryClient } from '@tanstack/react-query';
import { Input } from 'antd';
import { useState } from 'react';
import { dueNow } from '@/contracts/dueNow';
import { readInterval } from '@/core/followup/interval';
import { DueBy, TickForm } from '../board/Checks';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { OdometerLine } from '../prove/OdometerLine';

/** What is looked at again, by day and by distance, and done with its figures. */
export function ChecksToCome({ job }: { job: JobHandle }) {
  const { view } = job;
  const client = useQueryClient();
  const { busy, problem, run } = useSend();
  const [asking, setAsking] = useState<string | null>(null);
  const again = () => void client.invalidateQueries({ queryKey: ['job', view.id] });
  const odometer = view.odometer?.km ?? null;
  return (
    <div className="dock-columns">
      <section aria-label="Checks">
        {view.due.length === 0 ? <p className="muted">Checks are set when the first after height is in.</p> : null}
        <ul className="stored checks-to-come">
          {view.due.map((due) => (
            <li key={due.id} data-due={due.doneAt ? 'done' : dueNow(due, view.today, odometer).word}>
              <Marked
                kind={due.doneAt ? 'done' : dueNow(due, view.today, odometer).word === 'overdue' ? 'look' : 'untouched'}
              >
                <strong>{due.what}</strong>
              </Marked>{' '}
              {due.doneAt ? (
                <span className="muted">
                  done by {due.doneBy}
                  {due.figures ? `: ${due.figures}` : ''}{' '}
                  <button
                    type="button"
                    className="link"
                    disabled={busy}
                    onClick={() =>
                      void run(() =>
                        call(`/api/checks/${due.id}`, 'POST', { id: crypto.randomUUID(), done: false }),
                      ).then(again)
                    }
                  >
                    take back
                  </button>
                </span>
              ) : (
                <>
                  <DueBy due={due} today={view.today} odometer={odometer} />{' '}
                  <span className="muted small">{due.source || 'common practice'}</span>
                  {asking === due.id ? (
                    <TickForm
                      due={due}
                      onDone={(done) => {
                        setAsking(null);
                        if (done) again();
                      }}
                    />
                  ) : (
                    <div className="acts">
                      {due.reads === 'heights' ? (
                        <a className="act ruled" href="#settling">
                          read the heights
                        </a>
                      ) : null}
                      <button type="button" className="act quiet" onClick={() => setAsking(due.id)}>
                        record it
                      </button>
                    </div>
                  )}
                </>
              )}
            </li>
          ))}
        </ul>
        <ProblemNote problem={problem} />
      </section>
      <section aria-label="More checks">
        <OdometerLine job={job} />
        <OwnCheck job={job} />
        <p>
          <a className="act quiet" href="/api/due-calendar" download>
            All checks of the shop as a calendar
          </a>
        </p>
      </section>
    </div>
  );
}

const READS = [
  { id: 'torque', name: 'torque' },
  { id: 'heights', name: 'heights' },
  { id: 'look', name: 'a look' },
] as const;
type Reads = (typeof READS)[number]['id'];

/** A check as a maker's sheet or a person says it; what can be meant two ways is asked. */
function OwnCheck({ job }: { job: JobHandle }) {
  const { busy, problem, run } = useSend();
  const [draft, setDraft, forget] = useKept(`${job.view.id}|own-check`, { what: '', interval: '', source: '' });
  const [reads, setReads] = useState<Reads>('torque');
  const [picked, setPicked] = useState<number | null>(null);
  const read = draft.interval.trim() === '' ? null : readInterval(draft.interval);
  const km =
    read?.kind === 'ok' ? read.km : read?.kind === 'ask' && picked !== null ? read.options[picked]?.km : undefined;
  const send = () =>
    void run(async () => {
      await job.send('/checks', 'POST', { ids: km!.map(() => crypto.randomUUID()), ...draft, reads, km });
      forget();
      setPicked(null);
    });
  return (
    <div role="group" aria-label="A check of its own" className="own-check">
      <h3>As the maker’s sheet says it</h3>
      <TextField
        label="What is looked at"
        most={160}
        value={draft.what}
        onChange={(what) => setDraft({ ...draft, what })}
      />
      <Chips<Reads> label="What is read of it" options={READS} value={reads} onPick={setReads} />
      <div className="field">
        <label htmlFor="interval">After which distance</label>
        <Input
          id="interval"
          value={draft.interval}
          maxLength={80}
          placeholder="300 km, then 1500"
          onChange={(event) => {
            setDraft({ ...draft, interval: event.target.value });
            setPicked(null);
          }}
        />
        {read?.kind === 'refused' ? (
          <div className="note" role="alert">
            {read.reason}
          </div>
        ) : null}
        {read?.kind === 'ask' ? (
          <div role="group" aria-label={read.question}>
            <p>{read.question}</p>
            <Chips
              label={read.question}
              options={read.options.map((o, k) => ({ id: String(k), name: o.label }))}
              value={picked === null ? null : String(picked)}
              onPick={(k) => setPicked(Number(k))}
            />
          </div>
        ) : null}
      </div>
      <TextField
        label="Whose word it is"
        most={80}
        value={draft.source}
        onChange={(source) => setDraft({ ...draft, source })}
      />
      <button type="button" className="act quiet" disabled={busy || draft.what.trim().length < 3 || !km} onClick={send}>
        Set this check
      </button>
      <ProblemNote problem={problem} />
    </div>
  );
}
