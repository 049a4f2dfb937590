import Link from 'next/link';
import { type ReactNode } from 'react';
import { type FitRow } from '@/contracts/fit';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { useWords } from '../measured/Quantity';

interface Props {
  jobId: string;
  rows: readonly FitRow[];
  /** Said under a row besides its reason, by its subject. */
  notes?: Readonly<Record<string, ReactNode>>;
  /** Lines behind the rows. */
  more?: ReactNode;
  /** After the list. */
  children?: ReactNode;
}

/** Rows whose figure is told also when it fits. */
const SHOWN: ReadonlySet<string> = new Set(['stress', 'coilStress', 'coilBind']);

/** Bolts, stress and slack: three states, a STOP for what does not fit, and never OK while one row is not checked. */
export function ChecksSheet({ jobId, rows, notes = {}, more, children }: Props) {
  const words = useWords();
  const open = rows.filter((row) => row.state === 'not checked').length;
  const bad = rows.filter((row) => row.state === 'does not fit' && row.blocks).length;
  const looks = rows.filter((row) => row.state === 'look').length;
  const later = rows.filter((row) => row.state === 'does not fit' && !row.blocks).length;
  return (
    <Sheet
      title="Will it go together"
      aside={
        bad > 0 ? (
          <span className="stop-word">
            STOP: {bad} {bad === 1 ? 'does' : 'do'} not fit{open > 0 ? `, ${open} not checked` : ''}
          </span>
        ) : open + later + looks > 0 ? (
          <Marked kind="look">
            not OK:{' '}
            {[
              open > 0 ? `${open} not checked` : '',
              later > 0 ? `${later} to be replaced` : '',
              looks > 0 ? `${looks} to look at` : '',
            ]
              .filter(Boolean)
              .join(', ')}
          </Marked>
        ) : (
          <Marked kind="done">every row fits</Marked>
        )
      }
    >
      <table className="plain">
        <tbody>
          {rows.map((row) => (
            <tr key={row.subject} data-check={row.subject}>
              <td>
                {row.name}
                {notes[row.subject]}
                {row.reason && (row.state !== 'fits' || SHOWN.has(row.subject)) ? (
                  <div className={row.state === 'does not fit' ? '' : 'muted'}>{words(row.reason)}</div>
                ) : null}
                {row.defect ? (
                  <div className="muted">
                    {row.defect.endedAt ? 'ended' : `open defect until ${row.defect.dueOn}`}: {row.defect.reason}
                  </div>
                ) : null}
              </td>
              <td className="verdict">
                {row.state === 'does not fit' && !row.blocks ? (
                  <Marked kind="look">to be replaced</Marked>
                ) : row.state === 'does not fit' ? (
                  <span className="stop-word">STOP does not fit</span>
                ) : (
                  <Marked kind={row.state === 'fits' ? 'done' : row.state === 'look' ? 'look' : 'untouched'}>
                    {row.state}
                  </Marked>
                )}
              </td>
            </tr>
          ))}
          {more}
        </tbody>
      </table>
      {children}
      <Link href={`/jobs/${jobId}/build`} prefetch={false}>
        Answer the slack and support questions
      </Link>
    </Sheet>
  );
}
