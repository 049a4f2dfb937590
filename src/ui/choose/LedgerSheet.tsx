'use client';
import { type JobView } from '@/contracts/job';
import { isSkewed } from '@/core/prediction/ledger';
import { type Contribution } from '@/core/prediction/sensitivity';
import { labelOf } from '@/core/suspension/registry';
import { type Band } from '@/core/prediction/band';
import { type LedgerLine } from '@/core/prediction/ledger';
import { Sheet } from '../controls/Sheet';
import { LedgerTable } from '../ledger/LedgerTable';
import { Marked } from '../controls/Mark';
import { Length, PlusMinus } from '../measured/Figure';
import { reached } from './reached';

interface Props {
  view: JobView;
  sideName: string;
  state: {
    id: string;
    name: string;
    ledger: readonly LedgerLine[];
    firstOrder: number;
    contributions: readonly Contribution[];
  };
  /** What a handbook rule says of the same change, where there is one; null where it has nothing on what is planned. */
  handbook?: number | null | undefined;
  band: Band | undefined;
}

/** A wish is reached with a chance, never just reached. */
export const REACH_WORDS = { likely: 'likely reached', edge: 'at the edge', missed: 'likely missed' } as const;

/** Where every millimetre comes from, and how that stands against what was wanted. */
export function LedgerSheet({ view, sideName, state, handbook, band }: Props) {
  const { job } = view;
  const { change, half, reach, chance, wantedHere } = reached(view, state, band);
  const short = job.wantedChange - change;
  const label = (path: string) => labelOf(view.axle.suspension, path);
  const [worst, ...next] = state.contributions.filter((c) => c.effect >= 0.5);
  return (
    <Sheet title={`Height ledger, ${sideName}, ${state.name}`}>
      <div className="dock-columns">
        <LedgerTable lines={state.ledger} half={half} caption={`Height ledger ${sideName} ${state.name}`} />
        <div className="under-ledger">
          <p>
            The work changes it by <Length mm={change} signed />; nine in ten such jobs end{' '}
            {isSkewed(reach) ? (
              <>
                between <Length mm={change - reach.below} signed unit={false} /> and{' '}
                <Length mm={change + reach.above} signed />, further from the middle one way than the other.
              </>
            ) : (
              <>
                within <PlusMinus mm={half} />.
              </>
            )}
          </p>
          {band ? <p className="muted">Band of {band.samples.toLocaleString('en-GB')} outcomes.</p> : null}
          <p>
            Wanted <Length mm={job.wantedChange} signed /> <PlusMinus mm={job.tolerance} unit={false} />
            {wantedHere ? (
              <strong>
                {' '}
                <Marked kind={chance.reach === 'likely' ? 'done' : 'look'}>{REACH_WORDS[chance.reach]}</Marked>
              </strong>
            ) : (
              <span className="muted"> in “{view.states.find((s) => s.wanted)?.name}”</span>
            )}
            {wantedHere ? (
              <span data-testid="chance">
                : <strong className="figure">{Math.round(100 * chance.share)} %</strong> of such jobs end inside the
                wish
                {Math.abs(short) > job.tolerance ? (
                  <>
                    ; the middle is {short > 0 ? 'short by' : 'over by'} <Length mm={Math.abs(short)} />
                  </>
                ) : null}
              </span>
            ) : null}
          </p>
          <p className="muted">
            {job.guess === null ? (
              'No guess was made. '
            ) : (
              <>
                Your guess: <Length mm={job.guess} signed />.{' '}
              </>
            )}
            {handbook === undefined ? null : handbook === null ? (
              'The handbook rule has nothing on this.'
            ) : (
              <>
                Handbook rule: <Length mm={handbook} signed />
                {state.id === view.states[0]?.id ? '' : ' (as it stands today)'}.
              </>
            )}
          </p>
          {band?.unsolved ? (
            <p data-testid="unsolved">
              <Marked kind="look">
                {band.unsolved.share > 0.5 ? 'Most' : `One in ${Math.max(2, Math.round(1 / band.unsolved.share))}`} of
                what the readings leave open cannot stand at all: {band.unsolved.reason}. The band is of the others;
                read again what it hangs on before parts are bought.
              </Marked>
            </p>
          ) : null}
          {worst ? (
            <div className="note">
              <p>
                <strong>{label(worst.path)}</strong> moves this most (<PlusMinus mm={worst.effect} />
                {worst.origin === 'assumed' ? ', assumed' : ''}):{' '}
                {worst.origin === 'assumed' ? 'find it out' : 'measure it again'} to narrow the band.
              </p>
              {next.length > 0 ? (
                <p className="small">
                  Then{' '}
                  {next.slice(0, 2).map((c, i) => (
                    <span key={c.path}>
                      {i > 0 ? ', ' : ''}
                      {label(c.path)} (<PlusMinus mm={c.effect} />)
                    </span>
                  ))}
                  .
                </p>
              ) : null}
            </div>
          ) : null}
        </div>
      </div>
    </Sheet>
  );
}
