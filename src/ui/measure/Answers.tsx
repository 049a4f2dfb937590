import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type Assembled } from '@/contracts/sheet';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { focusField } from '../measured/MeasuredInput';
import { missingText } from './missingText';

/** A question that the readings answer, or what it still needs. */
export interface Answer {
  name: string;
  ready: boolean;
  lacks: string;
}

interface Props {
  view: JobView;
  missing: Assembled['missing'];
  rows: readonly Answer[];
  /** How many contradictions there are between readings. */
  flags: number;
}

/** What the readings already answer, and which to take next. */
export function Answers({ view, missing, rows, flags }: Props) {
  return (
    <Sheet title="What these readings answer">
      <ul className="answers">
        {rows.map((row) => (
          <li key={row.name}>
            <Marked kind={row.ready ? 'done' : 'untouched'}>
              {row.name}: {row.ready ? 'can be predicted' : `needs ${row.lacks}`}
            </Marked>
          </li>
        ))}
        {flags > 0 ? (
          <li>
            <a className="link" href="#watch">
              <Marked kind="look">
                {flags === 1 ? 'one contradiction' : `${flags} contradictions`} between readings
              </Marked>
            </a>
          </li>
        ) : null}
      </ul>
      {missing.length > 0 ? (
        <>
          <p className="muted">Next:</p>
          <ul className="links columns">
            {missing.slice(0, 6).map((wanting) => {
              const { text, anchor } = missingText(view, wanting);
              return (
                <li key={anchor}>
                  <button type="button" className="link" onClick={() => focusField(anchor)}>
                    {text}
                  </button>
                </li>
              );
            })}
          </ul>
        </>
      ) : null}
      <Link className="act" href={`/jobs/${view.id}/choose`} prefetch={false}>
        On to Choose
      </Link>
    </Sheet>
  );
}
