'use client';
import { useState } from 'react';
import { Mark, type MarkKind } from '../controls/Mark';
import Link from 'next/link';
import { STATIONS, type StationId } from '@/contracts/stationNames';
import { type Station, type StationState } from '@/contracts/stations';

export const STATION_MARKS: Record<StationState, { kind: MarkKind; word: string }> = {
  untouched: { kind: 'untouched', word: 'not yet' },
  open: { kind: 'open', word: 'open' },
  done: { kind: 'done', word: 'done' },
  flagged: { kind: 'look', word: 'look' },
};

/** How a station stands: what stops it before what is merely open. */
const wordOf = ({ state, open }: Station): string => {
  if (state === 'untouched') return STATION_MARKS.untouched.word;
  if (open.some((item) => item.stop)) return 'STOP';
  return state === 'open' && open.length > 0 ? `${open.length} open` : STATION_MARKS[state].word;
};

/** Screens outside a job, besides the Board. */
const PLACES = [
  { id: 'record', name: 'Record', state: 'open, learnt' },
  { id: 'fleet', name: 'Fleet', state: 'sits low' },
  { id: 'runs', name: 'Runs', state: 'many jobs' },
  { id: 'shelf', name: 'Shelf', state: 'parts' },
  { id: 'bench', name: 'Bench', state: 'packs' },
  { id: 'handbook', name: 'Handbook', state: 'sums' },
  { id: 'instruments', name: 'Instruments', state: 'live' },
] as const;
/** Not under a thumb on a phone. */
const RARE: readonly string[] = ['instruments', 'fleet', 'runs'];
/** Over the whole shop: no way from one job. */
const OF_SHOP: readonly string[] = ['fleet', 'runs'];
/** `door`: a person's own screen or the shop's, which stands in no tape. */
export type PlaceId = (typeof PLACES)[number]['id'] | 'door';

interface Props {
  jobId?: string;
  states?: Record<StationId, Station>;
  current?: StationId | PlaceId;
}

/** The measuring tape at the edge of every screen: the stations of this job, or just the way to the Board. */
export function StationTape({ jobId, states, current }: Props) {
  // On a phone the bar under the thumb holds what is done at the vehicle; the rest opens over it.
  const [all, setAll] = useState(false);
  const main = (id: string) => id === current || id === 'measure' || id === 'build' || id === 'handbook';
  return (
    <nav className={all ? 'tape all' : 'tape'} aria-label={jobId ? 'Stations of this job' : 'Gravelwort'}>
      <Link className="mark" href="/" prefetch={false}>
        GRAVELWORT
      </Link>
      <ol>
        <li className="main">
          <Link href="/" aria-current={jobId || current ? undefined : 'page'} prefetch={false}>
            <span className="name">Board</span>
            <span className="state">all jobs</span>
          </Link>
        </li>
        {jobId && states
          ? STATIONS.map((station) => (
              <li key={station.id} className={main(station.id) ? 'main' : ''}>
                <Link
                  href={`/jobs/${jobId}/${station.id}`}
                  aria-current={current === station.id ? 'page' : undefined}
                  prefetch={false}
                >
                  <span className="name">{station.name}</span>
                  <span className="state">
                    {station.number} <Mark kind={STATION_MARKS[states[station.id].state].kind} />{' '}
                    {wordOf(states[station.id])}
                  </span>
                </Link>
              </li>
            ))
          : null}
        {PLACES.filter((place) => !jobId || !OF_SHOP.includes(place.id)).map((place, k) => (
          <li
            key={place.id}
            className={[
              jobId ? 'place' : '',
              jobId && k === 0 ? 'first' : '',
              (jobId ? main(place.id) : !RARE.includes(place.id) || current === place.id) ? 'main' : '',
            ].join(' ')}
          >
            <Link href={`/${place.id}`} aria-current={current === place.id ? 'page' : undefined} prefetch={false}>
              <span className="name">{place.name}</span>
              <span className="state">{place.state}</span>
            </Link>
          </li>
        ))}
        <li className="tape-more main">
          <button type="button" aria-expanded={all} onClick={() => setAll(!all)}>
            <span className="name">{all ? 'less' : 'all'}</span>
            <span className="state">{jobId ? 'stations' : 'places'}</span>
          </button>
        </li>
      </ol>
    </nav>
  );
}
