'use client';
import { Input } from 'antd';
import { useMemo } from 'react';
import { leftOpenOfJob, openDefects, toAccept } from '@/contracts/openList';
import { DefectNote } from '../build/FitSheet';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { useKept } from '../measured/useKept';

interface Accepted {
  reason: string;
  dueOn: string;
  limits: string;
}
const NOTHING: Accepted = { reason: '', dueOn: '', limits: '' };

/** Closing a job is an act of its own: it lists what is open, is refused on stops, and keeps everything accepted as an open defect. */
export function CloseSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [given, setGiven, forget] = useKept<Record<string, Accepted>>(`${view.job.id}|accepted`, {});
  const open = useMemo(() => leftOpenOfJob(view), [view]);
  const asked = useMemo(() => toAccept(view), [view]);
  const stops = open.filter((item) => item.stop);
  const kept = open.filter((item) => !item.stop && !asked.some(({ text }) => text === item.text));
  const { closing } = view;
  // A line of its own counts before what was said for all of them.
  const of = (text: string): Accepted => {
    const [own, all] = [given[text] ?? NOTHING, given[''] ?? NOTHING];
    return {
      reason: own.reason.trim() || all.reason,
      dueOn: own.dueOn || all.dueOn,
      limits: own.limits.trim() || all.limits,
    };
  };
  const ready = asked.filter(({ text }) => of(text).reason.trim().length >= 5 && of(text).dueOn >= view.today);
  const send = (closed: boolean) =>
    void run(async () => {
      const accepted = closed ? asked.map(({ text }) => ({ id: crypto.randomUUID(), text, ...of(text) })) : [];
      await job.send('/closing', 'POST', { id: crypto.randomUUID(), closed, note: '', accepted });
      forget();
    });
  const defects = openDefects(view).map((defect) => <DefectNote key={defect.id} job={job} defect={defect} />);
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
        {defects}
        <ProblemNote problem={problem} />
        <button type="button" className="act quiet" disabled={busy} onClick={() => send(false)}>
          Open it again
        </button>
      </Sheet>
    );
  return (
    <Sheet
      title="Close the job"
      aside={
        <span className="muted">
          {stops.length > 0
            ? `${stops.length} in the way`
            : asked.length > 0
              ? `${asked.length} to accept`
              : 'nothing in the way'}
        </span>
      }
    >
      {open.length === 0 ? (
        <p>
          <Marked kind="done">Nothing is open.</Marked>
        </p>
      ) : null}
      <ul className="close-list" aria-label="Open when closing">
        {stops.map((item) => (
          <li key={item.text} className="stop-word">
            STOP {item.text}
          </li>
        ))}
      </ul>
      {stops.length > 0 ? (
        <p className="stop-word">STOP: it cannot be closed, and must not be driven, while this is open.</p>
      ) : null}
      {asked.length > 1 ? (
        <AcceptRow
          name="for all of these"
          view={given[''] ?? NOTHING}
          today={view.today}
          onChange={(v) => setGiven({ ...given, '': v })}
        />
      ) : null}
      <ul className="close-list" aria-label="To be accepted">
        {asked.map(({ text }) => (
          <li key={text}>
            <AcceptRow
              name={text}
              view={given[text] ?? NOTHING}
              for={of(text)}
              today={view.today}
              onChange={(v) => setGiven({ ...given, [text]: v })}
            />
          </li>
        ))}
        {kept.map(({ text }) => (
          <li key={text} className="muted">
            {text}
          </li>
        ))}
      </ul>
      {defects}
      <ProblemNote problem={problem} />
      <div className="acts">
        <button
          type="button"
          className="act"
          disabled={busy || stops.length > 0 || ready.length < asked.length}
          onClick={() => send(true)}
        >
          Close the job
        </button>
        {asked.length > 0 ? (
          <span className="muted">
            what is accepted becomes an open defect under your name, with its day{' '}
            {ready.length < asked.length ? `; ${asked.length - ready.length} without a reason or a day` : ''}
          </span>
        ) : null}
      </div>
    </Sheet>
  );
}

interface RowProps {
  name: string;
  /** As typed for this line. */
  view: Accepted;
  /** As it would be kept, where that comes from the line for all. */
  for?: Accepted;
  today: string;
  onChange: (value: Accepted) => void;
}

/** Why something is left open, until when, and what must not be done until then. */
function AcceptRow({ name, view, for: counts, today, onChange }: RowProps) {
  return (
    <div className="accept-row" role="group" aria-label={name}>
      <span>{name}</span>
      <Input
        aria-label={`Why it may stay open: ${name}`}
        placeholder={counts?.reason || 'why it may stay open'}
        value={view.reason}
        maxLength={500}
        onChange={(event) => onChange({ ...view, reason: event.target.value })}
      />
      <input
        type="date"
        aria-label={`Done by: ${name}`}
        min={today}
        value={view.dueOn || counts?.dueOn || ''}
        onChange={(event) => onChange({ ...view, dueOn: event.target.value })}
      />
      <Input
        aria-label={`Until then not: ${name}`}
        placeholder={counts?.limits || 'until then: no tow, no load …'}
        value={view.limits}
        maxLength={160}
        onChange={(event) => onChange({ ...view, limits: event.target.value })}
      />
    </div>
  );
}
