'use client';
import { Input } from 'antd';
import { useState } from 'react';
import { type Defect } from '@/contracts/defect';
import { blocking, unchecked, unsettled, type FitRow } from '@/contracts/fit';
import { SAFETY_ITEMS, type SafetyItem } from '@/core/procedure/safety';
import { isSlack, type SurveyItem } from '@/core/travel/survey';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { useWords } from '../measured/Quantity';
import { useKept } from '../measured/useKept';
import { SafetyRow } from './SafetyRow';

const asked = (subject: string): subject is SafetyItem => (SAFETY_ITEMS as readonly string[]).includes(subject);

/** Everything that must fit: what does not, with its two ways on; what was gone on with; what nobody has looked at. */
export function FitSheet({ job, rows }: { job: JobHandle; rows: readonly FitRow[] }) {
  const { view } = job;
  const words = useWords();
  const wrong = rows.filter((row) => row.state === 'does not fit');
  const stops = blocking(rows);
  const later = unsettled(rows).length - stops.length;
  const open = unchecked(rows);
  const inTheWay = view.survey.filter((s) => !isSlack(s.item as SurveyItem) && s.answer === 'notOk');
  return (
    <Sheet
      title="What must fit"
      aside={
        stops.length > 0 ? (
          <span className="stop-word">STOP: {stops.length} not settled</span>
        ) : later > 0 ? (
          <Marked kind="look">{later} to be replaced</Marked>
        ) : open.length > 0 ? (
          <Marked kind="untouched">{open.length} not checked</Marked>
        ) : (
          <Marked kind="done">nothing open</Marked>
        )
      }
    >
      {inTheWay.length > 0 ? (
        <p>
          <Marked kind="look">Out of the way first: {inTheWay.map((s) => SURVEY_TEXT[s.item]).join(', ')}.</Marked>
        </p>
      ) : null}
      {view.photos.length === 0 ? (
        <p>
          <Marked kind="untouched">
            No picture yet. Wedge, clips, plate and their marks are photographed before they come off.
          </Marked>
        </p>
      ) : null}
      {wrong.map((row) => (
        <div key={row.subject} className="misfit" data-misfit={row.subject}>
          <p>
            {row.defect === null && row.blocks ? (
              <span className="stop-word">STOP {row.name}</span>
            ) : (
              <Marked kind={row.defect?.endedAt ? 'done' : 'look'}>{row.name}</Marked>
            )}{' '}
            {row.reason ? <span className="muted">{words(row.reason)}</span> : null}
          </p>
          {asked(row.subject) ? <SafetyRow job={job} item={row.subject} /> : null}
          {row.defect === null ? (
            <GoOn job={job} subject={row.subject} />
          ) : (
            <DefectNote job={job} defect={row.defect} />
          )}
        </div>
      ))}
      {rows
        .filter((row) => row.state !== 'does not fit' && asked(row.subject))
        .map((row) => (
          <SafetyRow key={row.subject} job={job} item={row.subject as SafetyItem} />
        ))}
      {open.some((row) => !asked(row.subject)) ? (
        <ul className="stored">
          {open
            .filter((row) => !asked(row.subject))
            .map((row) => (
              <li key={row.subject}>
                <Marked kind="untouched">not checked: {row.name}</Marked>{' '}
                <span className="muted">{words(row.reason)}</span>
              </li>
            ))}
        </ul>
      ) : null}
    </Sheet>
  );
}

/** Going on with what does not fit: a reason and a day, under the name of the person at work. */
function GoOn({ job, subject }: { job: JobHandle; subject: string }) {
  const { busy, problem, run } = useSend();
  const [draft, setDraft, forget] = useKept(`${job.view.id}|defect|${subject}`, { reason: '', dueOn: '' });
  const [asking, setAsking] = useState(false);
  const send = () =>
    void run(async () => {
      await job.send('/defects', 'POST', { id: crypto.randomUUID(), subject, ...draft });
      forget();
    });
  if (!asking && draft.reason === '')
    return (
      <p className="acts">
        <span className="muted">Mend it and measure or answer again, or</span>
        <button type="button" className="act quiet" onClick={() => setAsking(true)}>
          go on with a written reason
        </button>
      </p>
    );
  return (
    <div className="grid-fields go-on" role="group" aria-label="Go on with a reason">
      <div className="field wide">
        <label htmlFor={`why-${subject}`}>
          Why the work goes on with it<span className="needed"> needed</span>
        </label>
        <Input
          id={`why-${subject}`}
          value={draft.reason}
          maxLength={500}
          onChange={(event) => setDraft({ ...draft, reason: event.target.value })}
        />
      </div>
      <div className="field">
        <label htmlFor={`by-${subject}`}>
          Mended by<span className="needed"> needed</span>
        </label>
        <input
          id={`by-${subject}`}
          type="date"
          min={job.view.today}
          value={draft.dueOn}
          onChange={(event) => setDraft({ ...draft, dueOn: event.target.value })}
        />
      </div>
      <button
        type="button"
        className="act"
        disabled={busy || draft.reason.trim().length < 5 || !draft.dueOn}
        onClick={send}
      >
        Keep it as an open defect
      </button>
      <p className="muted small">
        It stays on the job, on the Board and on every print until it is ended with evidence. No load, no tow on a
        U-bolt or a leaf that waits.
      </p>
      <ProblemNote problem={problem} />
    </div>
  );
}

/** A defect as it stands, and its end. */
export function DefectNote({ job, defect }: { job: JobHandle; defect: Defect }) {
  const { busy, problem, run } = useSend();
  const [evidence, setEvidence] = useState('');
  if (defect.endedAt)
    return (
      <p className="muted">
        Ended by {defect.endedBy}, <Clock at={defect.endedAt} what="day" />: {defect.evidence}
      </p>
    );
  return (
    <div className="defect">
      <p>
        <strong>Open defect until {defect.dueOn}</strong>{' '}
        <span className="muted">
          gone on with by {defect.person}, <Clock at={defect.openedAt} />: {defect.reason}
        </span>
      </p>
      <div className="acts">
        <Input
          aria-label={`What was done about: ${defect.what}`}
          placeholder="what was done"
          value={evidence}
          maxLength={300}
          onChange={(event) => setEvidence(event.target.value)}
        />
        <button
          type="button"
          className="act quiet"
          disabled={busy || evidence.trim().length < 3}
          onClick={() => void run(() => job.send('/defects', 'PATCH', { id: defect.id, evidence }))}
        >
          Mended
        </button>
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}
