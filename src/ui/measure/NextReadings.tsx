'use client';
import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type Assembled } from '@/contracts/sheet';
import { Marked } from '../controls/Mark';
import { PlusMinus } from '../measured/Figure';
import { type Assumptions } from './assumptions';
import { fieldKey, spokenField, type FieldAt } from './fields';
import { missingText, lowerFirst } from './missingText';
import { afterReading } from './narrowest';

/** A question that the readings answer, or what it still needs. */
export interface Answer {
  name: string;
  ready: boolean;
  lacks: string;
}

interface Props {
  view: JobView;
  answers: readonly Answer[];
  missing: Assembled['missing'];
  assumptions: Assumptions | null;
  onPick: (at: FieldAt) => void;
  onAnchor: (anchor: string) => void;
}

/** What the readings answer already, and which to take next. */
export function NextReadings({ view, answers, missing, assumptions, onPick, onAnchor }: Props) {
  const places = assumptions ? afterReading(view, assumptions).places : [];
  return (
    <div className="next-readings">
      <section aria-label="What these readings answer">
        <h2>Answered already</h2>
        <ul className="answers">
          {answers.map((row) => (
            <li key={row.name}>
              <Marked kind={row.ready ? 'done' : 'untouched'}>
                {row.name}
                {row.ready ? <span className="hidden-word">: can be predicted</span> : `: needs ${row.lacks}`}
              </Marked>
            </li>
          ))}
        </ul>
        <Link className="act ruled" href={`/jobs/${view.id}/choose`} prefetch={false}>
          On to Choose
        </Link>
      </section>
      <section aria-label="Next readings">
        {missing.length > 0 ? (
          <>
            <h2>Next</h2>
            <div className="next-places">
              {missing.slice(0, 6).map((wanting) => {
                const { text, anchor } = missingText(view, wanting);
                return (
                  <button key={anchor} type="button" className="next-place" onClick={() => onAnchor(anchor)}>
                    {text}
                  </button>
                );
              })}
            </div>
          </>
        ) : places.length > 0 ? (
          <>
            <h2>{places.length === 1 ? 'The reading that narrows it most' : 'Readings that narrow it most'}</h2>
            <div className="next-places">
              {places.map(({ at, half }) => (
                <button key={fieldKey(at)} type="button" className="next-place" onClick={() => onPick(at)}>
                  {lowerFirst(spokenField(view, at))}
                  <span className="muted">
                    then <PlusMinus mm={half} />
                  </span>
                </button>
              ))}
            </div>
          </>
        ) : assumptions ? (
          <p className="muted">Nothing that a tape reaches would narrow it by a hair.</p>
        ) : null}
      </section>
    </div>
  );
}
