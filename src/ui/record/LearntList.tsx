'use client';
import Link from 'next/link';
import { useState } from 'react';
import { type LearntLine, type SetExpects } from '@/contracts/expects';
import { SETTLING } from '@/core/vehicle/settling';
import { type Sinking } from '@/contracts/record';
import { Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { Clock } from '../measured/Clock';

const Band = ({ of: { value, half90 } }: { of: { value: number; half90: number } }) => (
  <span>
    <Length mm={value} signed />
    <span className="muted">
      {' ± '}
      <Length mm={half90} />
    </span>
  </span>
);

/** What this shop's own jobs say of settling beside common practice, and by which of the two it goes. */
export function LearntList({ first, sinking }: { first: LearntLine[]; sinking: readonly Sinking[] }) {
  const [lines, setLines] = useState(first);
  const known = lines.filter((l) => l.seen.length > 0 || l.words.length > 0);
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="How springs settle here">
      <p className="muted">
        Heights read again at Follow say by how much a spring settled. What the shop goes by is put into predictions
        from then on and named in their ledgers; those that were stored stay as they are.
      </p>
      {sinking.length > 0 ? (
        <ul className="stored" aria-label="Springs that go on sinking">
          {sinking.map(({ jobId, vehicle, side, chance, rate }) => (
            <li key={`${jobId}${side}`}>
              <Marked kind="look">
                <Link href={`/jobs/${jobId}/follow`} prefetch={false}>
                  {vehicle}
                </Link>
                , {side}: goes on sinking, <Length mm={rate} tenths /> in 1,000 km
              </Marked>{' '}
              <span className="muted">{Math.round(100 * chance)} in 100</span>
            </li>
          ))}
        </ul>
      ) : null}
      {known.length === 0 ? (
        <p className="muted">No job was read over distance yet: common practice is gone by.</p>
      ) : (
        known.map((line) => <Learnt key={line.quantity} line={line} onLines={setLines} />)
      )}
    </div>
  );
}

function Learnt({ line, onLines }: { line: LearntLine; onLines: (lines: LearntLine[]) => void }) {
  const { quantity, seen, learnt, words } = line;
  const { busy, problem, run } = useSend();
  const [reason, setReason] = useState('');
  const [word] = words;
  const own = word && word.half90 !== null ? { value: word.value, half90: word.half90, jobs: word.jobs } : null;
  const set = (by: SetExpects['by']) =>
    run(async () => {
      const body: SetExpects = { id: crypto.randomUUID(), quantity, by, reason };
      onLines(await call<LearntLine[]>('/api/expects', 'POST', body));
      setReason('');
    });
  return (
    <section className="part learnt" aria-label={SETTLING[quantity].name}>
      <h3>{SETTLING[quantity].name}</h3>
      <table className="record-table">
        <tbody>
          <tr className={own ? 'muted' : ''}>
            <th scope="row">common practice</th>
            <td>
              <Band of={SETTLING[quantity]} />
            </td>
            <td>{own ? '' : 'gone by'}</td>
          </tr>
          {own ? (
            <tr>
              <th scope="row">the shop’s own</th>
              <td>
                <Band of={own} />
              </td>
              <td>
                gone by, of {own.jobs} {own.jobs === 1 ? 'job' : 'jobs'}
              </td>
            </tr>
          ) : null}
          <tr>
            <th scope="row">with what was read until today</th>
            <td>{seen.length === 0 ? 'nothing yet' : <Band of={learnt} />}</td>
            <td>
              {seen.map(({ jobId, vehicle, value }, k) => (
                <span key={jobId}>
                  {k > 0 ? ', ' : ''}
                  <Link href={`/jobs/${jobId}/follow`} prefetch={false}>
                    {vehicle}
                  </Link>{' '}
                  <Length mm={value} signed />
                </span>
              ))}
            </td>
          </tr>
        </tbody>
      </table>
      {seen.length > 0 || own ? (
        <div className="facts-row">
          <TextField label="Why" most={300} value={reason} onChange={setReason} />
          {seen.length > 0 ? (
            <button
              type="button"
              className="act ruled"
              disabled={busy || reason.trim().length < 3}
              onClick={() => void set('learnt')}
            >
              Go by what was read
            </button>
          ) : null}
          {own ? (
            <button
              type="button"
              className="act quiet"
              disabled={busy || reason.trim().length < 3}
              onClick={() => void set('practice')}
            >
              Back to common practice
            </button>
          ) : null}
        </div>
      ) : null}
      <ProblemNote problem={problem} />
      {words.length > 0 ? (
        <ul className="stored" aria-label="Said so far">
          {words.map((w) => (
            <li key={w.setAt}>
              {w.half90 === null ? 'common practice' : <Band of={{ value: w.value, half90: w.half90 }} />}: {w.reason}{' '}
              <span className="muted">
                {w.person}, <Clock at={w.setAt} what="day" />
              </span>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}
