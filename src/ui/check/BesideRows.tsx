'use client';
import { CHECK_NAMES } from '@/contracts/fitText';
import { BESIDE_POINTS } from '@/contracts/besides';
import { type BesideItem } from '@/core/beside/besides';
import { type BesidePoint, type ReadRow } from '@/core/beside/readRow';
import { Marked } from '../controls/Mark';
import { type JobHandle } from '../job/useJob';
import { useWords } from '../measured/Quantity';
import { ReadingField } from '../measured/ReadingField';

/** What was found, in sentences; nothing of what nobody read. */
export function BesideRows({ rows }: { rows: readonly ReadRow<BesideItem>[] }) {
  const words = useWords();
  const told = rows.filter((row) => row.state !== 'not checked');
  return (
    <ul className="beside-rows">
      {told.map((row) => (
        <li key={row.item} data-beside={row.item} data-state={row.state}>
          {row.state === 'does not fit' ? (
            <span className="stop-word">STOP</span>
          ) : (
            <Marked kind={row.state === 'look' ? 'look' : 'done'}>{row.state === 'look' ? 'look' : 'fits'}</Marked>
          )}{' '}
          <strong>{CHECK_NAMES[row.item]}</strong>: {words(row.text)}
        </li>
      ))}
    </ul>
  );
}

/** Fields of some points, each with how it is read. */
export function PointFields({ job, points }: { job: JobHandle; points: readonly BesidePoint[] }) {
  return (
    <div className="read-here">
      {points.map((point) => (
        <div key={point}>
          <ReadingField job={job} point={point} />
          <p className="muted small">{BESIDE_POINTS[point].howTo}</p>
        </div>
      ))}
    </div>
  );
}
