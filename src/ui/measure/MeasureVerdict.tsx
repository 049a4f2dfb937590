'use client';
import { type JobView } from '@/contracts/job';
import { Length, PlusMinus } from '../measured/Figure';
import { type Assumptions } from './assumptions';
import { afterReading } from './narrowest';

interface Props {
  view: JobView;
  /** Readings that are wanting before a spring can be told. */
  lacking: number;
  assumptions: Assumptions | null;
}

/** How well a change can be foretold from what was read so far. */
export function MeasureVerdict({ view, lacking, assumptions }: Props) {
  if (!assumptions)
    return (
      <section className="sheet verdict-sheet" aria-label="Verdict">
        <span className="muted">{lacking > 0 ? 'before a height can be told' : 'how well a height can be told'}</span>
        <p className="verdict-great">
          {lacking > 0 ? (
            <>
              <strong className="figure">{lacking}</strong>{' '}
              <span className="verdict-word">{lacking === 1 ? 'reading to go' : 'readings to go'}</span>
            </>
          ) : (
            <span className="muted">reckoning…</span>
          )}
        </p>
        {/* As tall as the answer will be: what stands below does not move away from under a finger. */}
        {lacking > 0 ? null : <div className="told-to" aria-hidden="true" />}
      </section>
    );
  const { half, by, trial } = assumptions;
  const after = afterReading(view, assumptions);
  return (
    <section className="sheet verdict-sheet" aria-label="Verdict">
      <span className="muted">
        {by === 'plan' ? 'The planned height can be told to' : `Height after ${trial} can be told to`}
      </span>
      <div className="verdict-line">
        <p className="verdict-great">
          <strong>
            <span className="figure">±</span> <Length mm={half} />
          </strong>
        </p>
        {after.places.length > 0 && after.half < half - 0.25 ? (
          <p className="verdict-wish">
            <span className="muted">after the {after.places.length === 1 ? 'next' : WORDS[after.places.length]}</span>
            <span className="verdict-second new">
              <PlusMinus mm={after.half} />
            </span>
          </p>
        ) : null}
      </div>
      <div className="told-to" aria-hidden="true">
        <span className="told-now" />
        <span
          className="told-after"
          style={{ left: `${50 - (50 * after.half) / half}%`, right: `${50 - (50 * after.half) / half}%` }}
        />
      </div>
    </section>
  );
}

const WORDS: Record<number, string> = { 2: 'two', 3: 'three' };
