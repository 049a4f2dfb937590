'use client';
import { type ReactNode } from 'react';
import { type FitRow } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { type Band } from '@/core/prediction/band';
import { type LedgerLine } from '@/core/prediction/ledger';
import { type Side } from '@/core/vehicle/side';
import { Mark } from '../controls/Mark';
import { Length, PlusMinus, useLengthText } from '../measured/Figure';
import { pointName } from '../measure/fields';
import { useWords } from '../measured/Quantity';
import { ChanceRuler } from './ChanceRuler';
import { reached } from './reached';

interface Props {
  view: JobView;
  side: Side;
  state: {
    id: string;
    name: string;
    beforeHere: number | null;
    after: number | null;
    ledger: readonly LedgerLine[];
    firstOrder: number;
  };
  band: Band | undefined;
  rows: readonly FitRow[];
  /** Over all the rest: why the plan cannot be. */
  lead?: ReactNode;
  /** What else the spring does then. */
  children?: ReactNode;
}

/** Chances in the words of a bench: out of ten jobs like this one. */
const inTen = (share: number): string => {
  const jobs = Math.round(10 * share);
  return jobs === 0 ? 'hardly any' : jobs === 10 ? 'nearly all' : `${jobs} in 10`;
};

/** Stops named before the rest is counted. */
const NAMED = 2;

/** Where it will sit, how sure that is, what was wanted, and what stops the work: read at arm's length. */
export function VerdictSheet({ view, side, state, band, rows, lead, children }: Props) {
  const { job } = view;
  const text = useLengthText();
  const { change, half, reach, chance, wantedHere } = reached(view, state, band);
  const known = state.beforeHere !== null && state.after !== null;
  const was = known ? state.beforeHere! : 0;
  const will = known ? state.after! : change;
  const target = was + job.wantedChange;
  const spoken =
    `${known ? pointName(view, 'hubToLip') : 'Height change'}, ${side}, ${state.name}: ${text(will)}, was ${text(was)}` +
    (wantedHere ? `, wanted ${text(target)}, ${Math.round(100 * chance.share)} in 100 jobs get there` : '');
  return (
    <section className="sheet verdict-sheet" aria-label="Verdict">
      {lead}
      <Stops rows={rows} />
      <div className="verdict-over">
        <span className="muted">{known ? 'sits at' : 'changes by'}</span>
        <Unsettled rows={rows} />
      </div>
      <div className="verdict-line">
        <p className="verdict-great">
          <strong data-testid="sits-at">
            <Length mm={will} signed={!known} />
          </strong>
        </p>
        <p className="verdict-wish">
          {wantedHere ? (
            <>
              <span>
                wanted{' '}
                <span className="verdict-second">
                  <Length mm={target} signed={!known} unit={false} /> <PlusMinus mm={job.tolerance} unit={false} />
                </span>
              </span>
              <span>
                <span className={`verdict-second ${chance.reach === 'likely' ? 'new' : 'look'}`}>
                  {chance.reach === 'likely' ? null : <Mark kind="look" />} {inTen(chance.share)}
                </span>{' '}
                get there
              </span>
            </>
          ) : (
            <span>
              nine in ten within{' '}
              <span className="verdict-second">
                <PlusMinus mm={half} />
              </span>
            </span>
          )}
        </p>
      </div>
      <ChanceRuler
        was={was}
        will={will}
        reach={reach}
        wish={wantedHere ? { target, tolerance: job.tolerance } : null}
        spoken={spoken}
      />
      {children}
    </section>
  );
}

const stopsOf = (rows: readonly FitRow[]) => rows.filter((row) => row.state === 'does not fit' && row.blocks);

/** What does not fit, pinned in words. */
function Stops({ rows }: { rows: readonly FitRow[] }) {
  const words = useWords();
  const stops = stopsOf(rows);
  if (stops.length === 0) return null;
  return (
    <div className="verdict-stops">
      {stops.slice(0, NAMED).map((row) => (
        <p key={row.subject}>
          <span className="stop-word">STOP</span> <strong>{row.name}</strong>
          {row.reason ? `: ${words(row.reason)}` : ''}
        </p>
      ))}
    </div>
  );
}

/** What was not read or is to be looked at is only counted. */
function Unsettled({ rows }: { rows: readonly FitRow[] }) {
  const more = stopsOf(rows).length - NAMED;
  const open = rows.filter((row) => row.state === 'not checked').length;
  const looks = rows.filter((row) => row.state === 'look' || (row.state === 'does not fit' && !row.blocks)).length;
  const parts = [
    more > 0 ? `${more} more STOP` : '',
    open > 0 ? `${open} not checked` : '',
    looks > 0 ? `${looks} to look at` : '',
  ].filter(Boolean);
  return parts.length === 0 ? null : <a href="#fit">{parts.join(', ')}</a>;
}

interface FactsProps {
  old: { frequency: number | null } | null;
  built: { frequency: number | null } | null;
  /** The highest stress that counts, MPa. */
  stress?: { old: number | null; built: number; limit: number } | undefined;
}

/** How it rides and what the steel bears then, beside today. */
export function RideAndStress({ old, built, stress }: FactsProps) {
  const hz = (of: FactsProps['old']) => (of?.frequency ? of.frequency.toFixed(2) : null);
  const most = stress ? 1.08 * Math.max(stress.limit, stress.built, stress.old ?? 0) : 1;
  const share = (value: number) => `${((100 * value) / most).toFixed(1)}%`;
  return (
    <div className="ride-stress">
      <p>
        <span className="muted">rides</span> <strong className="figure">{hz(built) ?? '?'}</strong> Hz
        {hz(old) ? <span className="muted under">was {hz(old)}</span> : null}
      </p>
      {stress ? (
        <div>
          <p>
            <span className="muted">stress</span>{' '}
            {stress.built > stress.limit ? (
              <span className="stop-word">
                STOP <span className="figure">{stress.built.toFixed(0)}</span>
              </span>
            ) : (
              <strong className="figure">{stress.built.toFixed(0)}</strong>
            )}{' '}
            of <span className="figure">{stress.limit}</span> MPa
          </p>
          <div className="stress-track" aria-hidden="true">
            {stress.old === null ? null : <span className="stress-old" style={{ width: share(stress.old) }} />}
            <span
              className={stress.built > stress.limit ? 'stress-new over' : 'stress-new'}
              style={{ width: share(stress.built) }}
            />
            <span className="stress-limit" style={{ left: share(stress.limit) }} />
          </div>
        </div>
      ) : null}
    </div>
  );
}

/** A word that something is not OK, for a tab. */
export const fitMark = (rows: readonly FitRow[]) => {
  const stops = rows.filter((row) => row.state === 'does not fit' && row.blocks).length;
  const open = rows.filter((row) => row.state !== 'fits' && !(row.state === 'does not fit' && row.blocks)).length;
  return stops > 0
    ? { kind: 'stop' as const, word: `STOP ${stops}` }
    : open > 0
      ? { kind: 'look' as const, word: String(open) }
      : undefined;
};
