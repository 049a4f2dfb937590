'use client';
import { type JobView } from '@/contracts/job';
import { ratingGuard } from '@/core/vehicle/rating';
import { Mark, Marked } from '../controls/Mark';
import { Length, PlusMinus } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { ProblemNote } from '../job/ProblemNote';
import { type Loads } from './useLoads';

interface Props {
  view: JobView;
  stateName: string;
  /** Mass on this axle in the load state shown, kg; null where nobody weighed it. */
  mass: number | null;
  /** How much lower this axle's lip stands than today, mm; null in today's state or until it is known. */
  lower: number | null;
  loads: Loads;
}

/** What is wanted, and what the load shown does to this axle. */
export function AskVerdict({ view, stateName, mass, lower, loads }: Props) {
  const { job } = view;
  const wanted = view.states.find((s) => s.wanted);
  const ratings = view.axles.find((a) => a.id === view.axle.id)?.ratings ?? [];
  const guard = mass === null ? null : ratingGuard(Math.max(0, mass), ratings);
  return (
    <section className="sheet verdict-sheet" aria-label="Verdict">
      <div className="verdict-over">
        <span className="muted">wanted in “{wanted?.name ?? ''}”</span>
      </div>
      <div className="verdict-line">
        <p className="verdict-great">
          <strong>
            <Length mm={job.wantedChange} signed />
          </strong>
        </p>
        <p className="verdict-wish">
          <span className="verdict-second">
            <PlusMinus mm={job.tolerance} />
          </span>
          {job.guess === null ? null : (
            <span className="muted">
              your guess <Length mm={job.guess} signed />
            </span>
          )}
        </p>
      </div>
      <p className="ask-words">{job.complaint}</p>
      <dl className="ask-then" aria-label={`This axle in “${stateName}”`}>
        <dt>{stateName}</dt>
        <dd>
          {mass === null ? (
            <Marked kind="untouched">not weighed yet</Marked>
          ) : (
            <>
              <strong className="verdict-second">
                <Quantity value={mass} of="mass" />
              </strong>{' '}
              on this axle
              {guard?.lowest && guard.spare !== null ? (
                <span className={guard.spare < 0 ? 'stop-word under' : 'muted under'}>
                  {guard.spare < 0 ? 'STOP, ' : ''}
                  <Quantity value={Math.abs(guard.spare)} of="mass" />{' '}
                  {guard.spare < 0 ? 'more than it may carry' : 'to spare'}
                  {guard.missing.length > 0 ? `, ${guard.missing.length} parts not looked up` : ''}
                </span>
              ) : (
                <span className="muted under">what it may carry is not looked up</span>
              )}
            </>
          )}
        </dd>
        {lower === null ? null : (
          <>
            <dt>its lip stands</dt>
            <dd>
              <strong className="verdict-second">
                <Length mm={Math.abs(lower)} />
              </strong>{' '}
              {lower < 0 ? 'higher' : 'lower'} than today
            </dd>
          </>
        )}
      </dl>
      {loads.edited ? (
        <div className="ask-unsaved">
          <p>
            <Mark kind="look" /> Loads changed, not saved
          </p>
          <ProblemNote problem={loads.problem} />
          <div className="acts">
            <button
              type="button"
              className="act"
              disabled={!loads.body || loads.busy}
              onClick={() => void loads.save()}
            >
              Keep the loads
            </button>
            <button type="button" className="act quiet" onClick={loads.forget}>
              As they were
            </button>
          </div>
        </div>
      ) : null}
    </section>
  );
}
