'use client';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { leftOpenOfJob, openDefects } from '@/contracts/openList';
import { DefectNote } from '../build/FitSheet';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

/** Closing a job is an act of its own: it lists what is open and is refused on stops. */
export function CloseSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [note, setNote] = useState('');
  const open = useMemo(() => leftOpenOfJob(view), [view]);
  const stops = open.filter((item) => item.stop);
  const { closing } = view;
  const send = (closed: boolean) =>
    void run(() => job.send('/closing', 'POST', { id: crypto.randomUUID(), closed, note }));
  if (closing?.closed)
    return (
      <Sheet title="Job closed">
        <p>
          <Marked kind="done">
            closed by {closing.person}, <Clock at={closing.at} />
          </Marked>
          {closing.note ? `: ${closing.note}` : ''}
        </p>
        {closing.leftOpen.length > 0 ? (
          <>
            <p className="muted">Left open then:</p>
            <ul className="stored">
              {closing.leftOpen.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          </>
        ) : null}
        {openDefects(view).map((defect) => (
          <DefectNote key={defect.id} job={job} defect={defect} />
        ))}
        <ProblemNote problem={problem} />
        <button type="button" className="act quiet" disabled={busy} onClick={() => send(false)}>
          Open it again
        </button>
      </Sheet>
    );
  return (
    <Sheet title="Close the job">
      {open.length === 0 ? (
        <p>
          <Marked kind="done">Nothing is open.</Marked>
        </p>
      ) : (
        <ul className="stored" aria-label="Open when closing">
          {open.map((item) => (
            <li key={item.text}>
              {item.stop ? (
                <span className="stop-word">STOP {item.text}</span>
              ) : (
                <Marked kind="untouched">{item.text}</Marked>
              )}
            </li>
          ))}
        </ul>
      )}
      {openDefects(view).map((defect) => (
        <DefectNote key={defect.id} job={job} defect={defect} />
      ))}
      {stops.length > 0 ? (
        <p className="stop-word">STOP: it cannot be closed, and must not be driven, while this is open.</p>
      ) : open.length > 0 ? (
        <div className="field">
          <label htmlFor="closing-note">
            Who knows of what is left open<span className="needed"> needed</span>
          </label>
          <Input id="closing-note" value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
        </div>
      ) : null}
      <ProblemNote problem={problem} />
      <div className="acts">
        <button
          type="button"
          className="act"
          disabled={busy || stops.length > 0 || (open.length > 0 && note.trim() === '')}
          onClick={() => send(true)}
        >
          Close the job
        </button>
      </div>
    </Sheet>
  );
}
