'use client';
import { Input } from 'antd';
import { useState } from 'react';
import { type Residual } from '@/contracts/prove';
import { CAUSES, TELLINGS, type CauseId } from '@/core/followup/causes';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { useCauseText } from './causeText';
import { Kept } from './Kept';

interface Props {
  job: JobHandle;
  residual: Residual | null;
  busy: boolean;
  failed: boolean;
}

/** Where the difference may come from, how far off each thing would have to be, and what was found to be so. */
export function WhySheet({ job, residual, busy, failed }: Props) {
  const { view } = job;
  if (view.outcomes.length === 0)
    return (
      <p className="muted">Read the heights after the work first; then this says where a difference may come from.</p>
    );
  if (failed)
    return (
      <p>
        <Marked kind="look">This could not be reckoned just now; the heights are kept. Load the page again.</Marked>
      </p>
    );
  if (!residual) return <p className="muted">{busy ? 'reckoning …' : 'opens with the first difference'}</p>;
  return (
    <div className="why">
      <CauseTable job={job} residual={residual} />
      <Kept job={job} />
      <p className="muted small">
        One thing far off, everything else within its doubt, weighed against one another. How often each cause is met,
        and how far off it then lies, is assumed. Usual scatter alone: {Math.round(100 * residual.usual)} in 100;
        nothing on this list: {Math.round(100 * residual.unknown)}.
      </p>
    </div>
  );
}

/** Less likely than this is counted, not listed. */
const SEEN = 0.01;

function CauseTable({ job, residual }: { job: JobHandle; residual: Residual }) {
  const text = useCauseText(job.view, residual);
  const [kept, setKept] = useState<CauseId | null>(null);
  const told = residual.causes.filter((c) => c.share >= SEEN);
  const hidden = residual.causes.length - told.length;
  const telling = (cause: CauseId) => Object.values(TELLINGS).find(({ tells }) => tells.includes(cause))?.act;
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Causes">
      <table className="why-table">
        <thead>
          <tr>
            <th scope="col">of 100</th>
            <th scope="col">cause</th>
            <th scope="col">would have to be</th>
            <th scope="col">does</th>
            <th scope="col">told by</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {told.map((c) => (
            <tr key={c.cause} data-cause={c.cause}>
              <td className="figure">{Math.round(100 * c.share)}</td>
              <td>
                {CAUSES[c.cause].name}
                <span className="muted small why-means">{CAUSES[c.cause].means}</span>
              </td>
              <td>{text(c)}</td>
              <td>
                <Length mm={c.mm} signed />
              </td>
              <td className="muted">{telling(c.cause) ?? 'nothing that can still be read'}</td>
              <td>
                <button
                  type="button"
                  className="act quiet one-line"
                  onClick={() => setKept(kept === c.cause ? null : c.cause)}
                >
                  it was this
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {hidden > 0 ? <p className="muted small">{hidden} more, each less than 1 in 100</p> : null}
      {kept ? (
        <Learn
          key={kept}
          job={job}
          cause={kept}
          says={sentenceOf(kept, text(residual.causes.find((c) => c.cause === kept)!))}
          onDone={() => setKept(null)}
        />
      ) : null}
    </div>
  );
}

const sentenceOf = (cause: CauseId, detail: string): string => `${CAUSES[cause].name} (${detail})`;

/** Keeps what it was, in the words of who found it, for the next job on this axle. */
function Learn({ job, cause, says, onDone }: { job: JobHandle; cause: CauseId; says: string; onDone: () => void }) {
  const { busy, problem, run } = useSend();
  const [text, setText] = useState(says);
  const keep = () =>
    void run(async () => {
      await job.send('/lessons', 'POST', { id: crypto.randomUUID(), cause, says: text });
      onDone();
    });
  return (
    <div className="grid-fields go-on" role="group" aria-label="Keep it for the next visit">
      <div className="field wide">
        <label htmlFor="lesson">What was found</label>
        <Input id="lesson" value={text} maxLength={300} onChange={(event) => setText(event.target.value)} />
      </div>
      <button type="button" className="act" disabled={busy || text.trim().length < 3} onClick={keep}>
        Keep it for the next visit
      </button>
      <ProblemNote problem={problem} />
    </div>
  );
}
