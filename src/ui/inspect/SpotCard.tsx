'use client';
import { useState } from 'react';
import { ruleOf, shopRule, type RuleId } from '@/core/inspection/rules';
import { type JobHandle } from '../job/useJob';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { FindingCell } from './FindingCell';
import { PhotoStrip } from './PhotoStrip';
import { ShopLimits } from './ShopLimits';
import { sourceText } from './RuleRow';
import { VerdictMark } from './VerdictMark';
import { type WalkSpot } from './walk';

interface Props {
  job: JobHandle;
  spot: WalkSpot;
  /** The spot after it; null at the end of the walk. */
  next: WalkSpot | null;
  onNext: () => void;
  onBack: (() => void) | null;
}

/** One spot, both sides at once: its picture first, fine in one touch a side; only what is not fine unfolds. */
export function SpotCard({ job, spot, next, onNext, onBack }: Props) {
  const { rule: id, number, found } = spot;
  const rule = shopRule(id, job.view.limits);
  const { busy, problem, run } = useSend();
  const [looked, setLooked] = useState<RuleId | null>(null);
  const fine = rule.choices.find((c) => c.verdict === 'pass');
  const unfolded = looked === id || !fine || found.some(({ state }) => state !== null && state !== 'pass');
  const sayFine = (side: WalkSpot['found'][number]['side']) =>
    void run(async () => {
      await job.send('/findings', 'POST', {
        ...{ id: crypto.randomUUID(), rule: id, side, choice: fine!.id, values: [], note: '' },
        ...{ leafId: null, place: null, placeTyped: null },
      });
      // The last side that was open is fine: on to the next spot.
      if (found.every((f) => f.side === side || f.state !== null)) onNext();
    });
  return (
    <section className="sheet spot-card" aria-label={rule.what}>
      <header className="spot-head">
        <span className="spot-number figure">{number}</span>
        <h2>{rule.what}</h2>
      </header>
      <p className="spot-how">{rule.how}</p>
      <div className="spot-sides">
        {found.map(({ side, state }) => (
          <div key={side ?? 'axle'} className="spot-side">
            <span className="spot-side-head">
              <strong>{side ?? 'axle'}</strong>{' '}
              {state === null ? <span className="muted">not looked at</span> : <VerdictMark verdict={state} />}
            </span>
            <PhotoStrip
              job={job}
              subject={`${id}|${side ?? ''}`}
              caption={[rule.what, side].filter(Boolean).join(', ')}
            />
            {fine && (state === null || state === 'pass') ? (
              <button
                type="button"
                className={state === null ? 'act fine-act' : 'act quiet fine-act'}
                aria-label={`fine, ${side ?? 'axle'}`}
                disabled={busy || state === 'pass'}
                onClick={() => sayFine(side)}
              >
                fine
              </button>
            ) : null}
          </div>
        ))}
      </div>
      <ProblemNote problem={problem} />
      {unfolded ? (
        <div className="spot-found">
          {found.map(({ side }) => (
            <FindingCell key={`${id}|${side ?? 'axle'}`} job={job} id={id} rule={rule} side={side} bare />
          ))}
        </div>
      ) : (
        <button type="button" className="act ruled" onClick={() => setLooked(id)}>
          Not fine: look closer
        </button>
      )}
      {unfolded && rule.limits.length > 0 ? <ShopLimits job={job} id={id} rule={rule} /> : null}
      <p className="small muted">{sourceText(rule)}</p>
      <div className="acts spot-acts">
        <button type="button" className="act quiet" disabled={!onBack} onClick={onBack ?? undefined}>
          Back
        </button>
        <button type="button" className="act ruled spot-next" onClick={onNext}>
          {next ? (
            <>
              Next <span className="figure">{next.number}</span> {ruleOf(next.rule).what.toLowerCase()}
            </>
          ) : (
            'To the first that is open'
          )}
        </button>
      </div>
    </section>
  );
}
