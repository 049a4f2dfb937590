import { Mark, type MarkKind } from '../controls/Mark';
import Link from 'next/link';
import { STATIONS, type StationId, type StationState } from '@/contracts/stations';

const MARK: Record<StationState, { kind: MarkKind; word: string }> = {
  untouched: { kind: 'untouched', word: 'not yet' },
  open: { kind: 'open', word: 'open' },
  done: { kind: 'done', word: 'done' },
  flagged: { kind: 'look', word: 'look' },
};

interface Props {
  jobId?: string;
  states?: Record<StationId, StationState>;
  current?: StationId | 'instruments';
}

/** The measuring tape at the edge of every screen: the stations of this job, or just the way to the Board. */
export function StationTape({ jobId, states, current }: Props) {
  return (
    <nav className="tape" aria-label={jobId ? 'Stations of this job' : 'Gravelwort'}>
      <Link className="mark" href="/">
        GRAVELWORT
      </Link>
      <ol>
        <li>
          <Link href="/" aria-current={jobId || current ? undefined : 'page'} prefetch={false}>
            <span className="name">Board</span>
            <span className="state">all jobs</span>
          </Link>
        </li>
        {jobId && states
          ? STATIONS.map((station) => (
              <li key={station.id}>
                <Link
                  href={`/jobs/${jobId}/${station.id}`}
                  aria-current={current === station.id ? 'page' : undefined}
                  prefetch={false}
                >
                  <span className="name">{station.name}</span>
                  <span className="state">
                    {station.number} <Mark kind={MARK[states[station.id]].kind} /> {MARK[states[station.id]].word}
                  </span>
                </Link>
              </li>
            ))
          : [
              <li key="instruments">
                <Link
                  href="/instruments"
                  aria-current={current === 'instruments' ? 'page' : undefined}
                  prefetch={false}
                >
                  <span className="name">Instruments</span>
                  <span className="state">live</span>
                </Link>
              </li>,
            ]}
      </ol>
    </nav>
  );
}
